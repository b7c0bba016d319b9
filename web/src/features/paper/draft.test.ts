import { describe, expect, it } from 'vitest'
import {
  began,
  changed,
  drawable,
  freshId,
  inserted,
  numbersOf,
  placed,
  rebased,
  redone,
  sizeOf,
  stepped,
  takenIn,
  undone,
  upgraded,
  withoutSection,
  type Entry,
  type Paper,
  type Section,
} from './draft'

const q = (id: string): Entry => ({ id, kind: 'question', item: `i-${id}`, points: '1' })
const paper: Paper = {
  version: 1,
  title: 't',
  mastery: null,
  sections: [
    {
      id: 's1',
      title: 'One',
      entries: [q('a'), { id: 'src', kind: 'source', source: { title: '', html: '', picture: null, alt: '' } }, q('b')],
      route: { exits: [{ when: 'share < 1/2', to: 's2', rounds: 1 }], else: 's2' },
    },
    { id: 's2', title: 'Two', entries: [q('c')], route: null },
  ],
}
const ids = (p: Paper) => p.sections.map((s) => s.entries.map((e) => e.id).join(''))

describe('draft', () => {
  it('moves within a section and over its edge', () => {
    expect(ids(stepped(paper, 'a', 1))).toEqual(['srcab', 'c'])
    expect(ids(stepped(paper, 'b', 1))).toEqual(['asrc', 'bc'])
    expect(ids(stepped(paper, 'c', -1))).toEqual(['asrcbc', ''])
    expect(stepped(paper, 'a', -1)).toBe(paper)
    expect(ids(placed(paper, 'c', 's1', 0))).toEqual(['casrcb', ''])
  })
  it('numbers questions and passes over sources', () => {
    expect([...numbersOf(paper)]).toEqual([
      ['a', 1],
      ['b', 2],
      ['c', 3],
    ])
  })
  it('inserts behind the selected part', () => {
    expect(ids(inserted(paper, [q('x'), q('y')], 's1', 'a'))).toEqual(['axysrcb', 'c'])
    expect(ids(inserted(paper, [q('x')], 's2'))).toEqual(['asrcb', 'cx'])
  })
  it('takes questions in, one behind the other, and says which they are', () => {
    const { paper: next, entries } = takenIn(
      paper,
      [
        { id: 'x', points: '2' },
        { id: 'y', points: '1/2' },
      ],
      's1',
      'a',
    )
    expect(next.sections[0]?.entries.map((e) => (e.kind === 'question' ? `${e.item} ${e.points}` : e.id))).toEqual([
      'i-a 1',
      'x 2',
      'y 1/2',
      'src',
      'i-b 1',
    ])
    expect(next.sections[0]?.entries.slice(1, 3).map((e) => e.id)).toEqual(entries)
  })
  it('mends routes when their section goes', () => {
    expect(withoutSection(paper, 's2').sections[0]?.route).toEqual({
      exits: [{ when: 'share < 1/2', to: 'end', rounds: 1 }],
      else: 'end',
    })
  })
  it('reads what a device kept from before exits were listed', () => {
    const route = (old: object) =>
      upgraded({ ...paper, sections: [{ ...paper.sections[0]!, route: old as never }, paper.sections[1]!] }).sections[0]
        ?.route
    expect(route({ below: '1/3', then: 's2', else: 'end' })).toEqual({
      exits: [{ when: 'share < 1/3', to: 's2' }],
      else: 'end',
    })
    expect(route({ below: '0', then: 's2', else: 'end', when: 'q1 = 1' })?.exits[0]?.when).toBe('q1 = 1')
    expect(upgraded(paper)).toEqual(paper)
  })
  it('undoes and redoes', () => {
    const next = stepped(paper, 'a', 1)
    const h = changed(began(paper), next)
    expect(undone(h).now).toBe(paper)
    expect(redone(undone(h)).now).toBe(next)
    expect(undone(began(paper)).now).toBe(paper)
    expect(freshId('e', paper)).not.toBe('a')
  })
  it('undoes one’s own steps, and nothing that a colleague changed meanwhile', () => {
    const mine = inserted(paper, [q('x')], 's1', 'a')
    const theirs = { ...mine, title: 'theirs' }
    const h = rebased(changed(began(paper), mine), mine, theirs)
    expect(h.now).toBe(theirs)
    expect([undone(h).now.title, ids(undone(h).now)]).toEqual(['theirs', ['asrcb', 'c']])
    // A step that changed what they changed does not fit, nor does what was before it.
    const renamed = { ...mine, title: 'mine' }
    const apart = rebased(changed(changed(began(paper), mine), renamed), renamed, { ...renamed, title: 'theirs' })
    expect([apart.now.title, apart.past]).toEqual(['theirs', []])
  })
  it('keeps what is typed while a colleague’s change comes', () => {
    const typed = inserted(paper, [q('x')], 's2')
    const h = rebased(changed(began(paper), typed), paper, { ...paper, title: 'theirs' })
    expect([h.now.title, ids(h.now)]).toEqual(['theirs', ['asrcb', 'cx']])
  })
})

describe('a section that draws', () => {
  const worth = (id: string, points: string, pinned?: boolean): Entry => ({
    id,
    kind: 'question',
    item: id,
    points,
    ...(pinned ? { pinned } : {}),
  })
  const section = (count: number | null, entries: Entry[]): Section => ({
    id: 's',
    title: 'S',
    route: null,
    entries,
    ...(count === null ? {} : { drawing: { count, by: 'chance' as const } }),
  })

  it('is as long, and worth as much, as what one student gets', () => {
    const entries = [worth('p', '3', true), worth('a', '2'), worth('b', '2'), worth('c', '2')]
    expect(sizeOf(section(null, entries))).toEqual({ questions: 4, of: 4, points: 9 })
    expect(sizeOf(section(2, entries))).toEqual({ questions: 3, of: 4, points: 7 })
    expect(sizeOf(section(9, entries))).toEqual({ questions: 4, of: 4, points: 9 })
    expect(sizeOf(section(2, []))).toEqual({ questions: 0, of: 0, points: 0 })
    expect(drawable(section(2, entries)).map((e) => e.id)).toEqual(['a', 'b', 'c'])
  })
})
