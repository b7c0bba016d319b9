import { describe, expect, it } from 'vitest'
import { merged, placeOf } from './merge'

const part = (id: string, points = '1', title = id) => ({ id, points, title })
const paper = (title: string, ...entries: ReturnType<typeof part>[]) => ({ title, sections: [{ id: 's1', entries }] })
const ids = (of: ReturnType<typeof paper>) => of.sections[0]?.entries.map((e) => e.id)

describe('Two changes of one document', () => {
  const base = paper('Tides', part('a'), part('b'), part('c'))

  it('are both taken where they lie apart', () => {
    const mine = paper('Currents', part('a'), part('b'), part('c'))
    const theirs = paper('Tides', part('a', '2'), part('b'), part('c'))
    expect(merged(base, mine, theirs)).toEqual({
      value: paper('Currents', part('a', '2'), part('b'), part('c')),
      clashes: [],
    })
  })

  it('clash where the same was changed in different ways, and one side is picked', () => {
    const mine = paper('Currents', part('a', '3'), part('b'), part('c'))
    const theirs = paper('Ebb', part('a', '2'), part('b'), part('c', '5'))
    const { value, clashes } = merged(base, mine, theirs)
    expect(clashes.map((c) => [placeOf(c.path), c.base, c.mine, c.theirs])).toEqual([
      ['title', 'Tides', 'Currents', 'Ebb'],
      ['sections / s1 / entries / a / points', '1', '3', '2'],
    ])
    expect(value).toEqual(paper('Currents', part('a', '3'), part('b'), part('c', '5')))
    expect(merged(base, mine, theirs, { title: 'theirs' }).value).toEqual(
      paper('Ebb', part('a', '3'), part('b'), part('c', '5')),
    )
  })

  it('that are the same are no clash', () => {
    expect(merged(base, paper('Ebb'), paper('Ebb')).clashes).toEqual([])
  })

  it('keep what each added, where each put it, and what one took out stays out', () => {
    const mine = paper('Tides', part('a'), part('m'), part('b'), part('c'))
    const theirs = paper('Tides', part('a'), part('c'), part('t'))
    expect(ids(merged(base, mine, theirs).value)).toEqual(['a', 'm', 'c', 't'])
    expect(merged(base, mine, theirs).clashes).toEqual([])
  })

  it('clash where one took out what the other changed, and nothing is lost by it', () => {
    const mine = paper('Tides', part('a'), part('b', '4'), part('c'))
    const theirs = paper('Tides', part('a'), part('c'))
    const { value, clashes } = merged(base, mine, theirs)
    expect(clashes).toHaveLength(1)
    expect(ids(value)).toEqual(['a', 'b', 'c'])
    expect(ids(merged(base, mine, theirs, { 'sections / s1 / entries / b': 'theirs' }).value)).toEqual(['a', 'c'])
  })

  it('follow whoever moved something', () => {
    const mine = paper('Tides', part('c'), part('a'), part('b'))
    const theirs = paper('Tides', part('a', '2'), part('b'), part('c'))
    expect(ids(merged(base, mine, theirs).value)).toEqual(['c', 'a', 'b'])
    expect(ids(merged(base, theirs, mine).value)).toEqual(['c', 'a', 'b'])
    expect(merged(base, mine, theirs).value.sections[0]?.entries[1]?.points).toBe('2')
  })

  it('take lists without ids whole', () => {
    const { value, clashes } = merged({ tags: ['x'] }, { tags: ['x', 'y'] }, { tags: ['z'] })
    expect([value, clashes.length]).toEqual([{ tags: ['x', 'y'] }, 1])
    expect(merged({ tags: ['x'] }, { tags: ['x'] }, { tags: ['z'] }).value).toEqual({ tags: ['z'] })
  })
})
