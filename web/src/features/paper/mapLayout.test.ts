import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import type { Paper } from './draft'
import { linesOf, mapOf } from './mapLayout'

const section = (id: string, route: Paper['sections'][number]['route'] = null, questions = 2) => ({
  id,
  title: id.toUpperCase(),
  entries: Array.from({ length: questions }, (_, i) => ({
    id: `${id}${i}`,
    kind: 'question' as const,
    item: 'i',
    points: '1',
  })),
  route,
})
const paper: Paper = {
  version: 1,
  title: 'Rounds',
  mastery: null,
  sections: [
    section('a', {
      exits: [
        { when: 'share < 1/2', to: 'b' },
        { when: 'q1 = 1 and share > 2', to: 'c' },
      ],
      else: 'd',
    }),
    section('b', { exits: [{ when: 'share < 1', to: 'b', rounds: 2 }], else: 'd' }),
    section('c'),
    section('d', { exits: [{ when: 'share = 0', to: 'a', rounds: 1 }], else: 'end' }),
  ],
}
const says = (...list: string[]) => list.map((one) => ({ to: '', says: one, exact: true, patterns: 4 }))
const proof: Schemas['PaperProofView'] = {
  defects: [],
  mayPublish: true,
  mastery: '',
  leastPoints: '4',
  mostPoints: '8',
  leastQuestions: 4,
  mostQuestions: 20,
  exits: [
    { section: 'a', exits: says('may', 'never', 'may') },
    { section: 'b', exits: says('may', 'may') },
    { section: 'd', exits: says('never', 'always') },
  ],
}
const share = (count: number) => ({ count, share: 0, low: 0, high: 1 })
const exits = (...counts: number[]) => counts.map((n) => ({ to: '', students: share(n), abilities: [], wrong: 0 }))
const check = { section: '', below: share(0), above: share(0), cut: null, cuts: [], withTwoMore: null }
const found = {
  students: 100,
  ways: [],
  routes: [
    { ...check, sectionId: 'a', students: 100, exits: exits(25, 0, 75) },
    { ...check, sectionId: 'b', students: 40, exits: exits(15, 25) },
    { ...check, sectionId: 'd', students: 100, exits: exits(0, 100) },
  ],
}

describe('The map of a paper’s routes', () => {
  it('draws a ribbon for every way, as wide as the share of all students that go there', () => {
    const { ribbons } = mapOf(paper, proof, found)
    expect(ribbons.map((r) => [r.from, r.to, r.says, r.who])).toEqual([
      ['a', 'b', 'below 50 %', '25 of 100'],
      ['a', 'c', 'question 1 earns 1 and share here is above 200 %', 'never taken'],
      ['a', 'd', 'else', '75 of 100'],
      ['b', 'b', 'below 100 %', '38 of 100'],
      ['b', 'd', 'else', '63 of 100'],
      ['c', 'd', 'then', ''],
      ['d', 'a', '0 %', 'never taken'],
      ['d', 'end', 'else', 'everybody'],
    ])
    const width = (id: string) => ribbons.find((r) => r.id === id)!.width
    expect(width('a 2')).toBeCloseTo(3 * width('a 0'), 6)
    expect(width('b 0')).toBeCloseTo((15 / 25) * width('a 0'), 6)
    expect(ribbons.find((r) => r.id === 'b 0')!.rounds).toBe(2)
  })

  it('stands without a rehearsal, and says then who goes nowhere', () => {
    const { ribbons } = mapOf(paper, proof, undefined)
    expect(ribbons.map((r) => r.share)).toEqual(ribbons.map(() => null))
    expect(ribbons.filter((r) => r.state === 'never').map((r) => r.id)).toEqual(['a 1', 'd 0'])
  })

  it('lays no box over another, and what goes on to the right of where it comes from', () => {
    const { boxes, ribbons } = mapOf(paper, proof, found)
    for (const a of boxes)
      for (const b of boxes)
        if (a !== b)
          expect(a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y).toBe(
            true,
          )
    const at = (id: string) => boxes.find((b) => b.id === id)!
    for (const r of ribbons) if (r.id !== 'b 0' && r.id !== 'd 0') expect(at(r.from).x).toBeLessThan(at(r.to).x)
  })

  it('leads ribbons from edge to edge, beside each other, and what leads back over the boxes', () => {
    const { boxes, ribbons } = mapOf(paper, proof, found)
    const lines = linesOf(boxes, ribbons)
    const at = (id: string) => boxes.find((b) => b.id === id)!
    const start = (id: string) => /^M([\d.-]+) ([\d.-]+)/.exec(lines.get(id)!.path)!.slice(1).map(Number)
    expect(start('a 0')[0]).toBe(at('a').x + at('a').width)
    const ys = ['a 0', 'a 1', 'a 2'].map((id) => start(id)[1]!)
    const widths = ['a 0', 'a 1', 'a 2'].map((id) => ribbons.find((r) => r.id === id)!.width)
    for (const i of [0, 1, 2])
      for (const j of [0, 1, 2])
        if (i !== j) expect(Math.abs(ys[i]! - ys[j]!)).toBeGreaterThanOrEqual((widths[i]! + widths[j]!) / 2)
    for (const id of ['b 0', 'd 0']) expect(start(id)[1]).toBe(at(id[0]!).y)
  })

  it('draws sixty sections', () => {
    const many: Paper = {
      ...paper,
      sections: Array.from({ length: 60 }, (_, i) =>
        section(`s${i}`, i < 58 ? { exits: [{ when: 'share < 1/2', to: `s${i + 1}` }], else: `s${i + 2}` } : null),
      ),
    }
    const { boxes, ribbons } = mapOf(many, { ...proof, exits: [] }, undefined)
    expect([boxes.length, ribbons.length]).toEqual([61, 118])
    expect([...linesOf(boxes, ribbons).values()].every((l) => !l.path.includes('NaN'))).toBe(true)
  })
})
