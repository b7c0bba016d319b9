import { describe, expect, it } from 'vitest'
import { holds, sortedBy, sortingOf, sortingText } from './sorting'

describe('Sorting a list', () => {
  it('reads numbers inside words, leaves out case, and keeps equals in their order', () => {
    const rows = ['paper 10', 'Paper 2', 'chart', 'paper 2']
    expect(sortedBy(rows, (r) => r, false)).toEqual(['chart', 'Paper 2', 'paper 2', 'paper 10'])
    expect(sortedBy(rows, (r) => r, true)).toEqual(['paper 10', 'Paper 2', 'paper 2', 'chart'])
  })

  it('puts what has no value last, whichever way', () => {
    const rows = [{ n: 3 }, { n: null }, { n: 1 }]
    expect(sortedBy(rows, (r) => r.n, false).map((r) => r.n)).toEqual([1, 3, null])
    expect(sortedBy(rows, (r) => r.n, true).map((r) => r.n)).toEqual([3, 1, null])
  })

  it('stands in the address', () => {
    expect(sortingOf('-title', { by: 'made', down: true })).toEqual({ by: 'title', down: true })
    expect(sortingOf(null, { by: 'made', down: true })).toEqual({ by: 'made', down: true })
    expect(sortingText({ by: 'made', down: true })).toBe('-made')
  })
})

it('finds all words in any order, whatever case and accents', () => {
  expect(holds('Benoît Larsen · 8 Kestrel', 'kestrel benoit')).toBe(true)
  expect(holds('Benoît Larsen · 8 Kestrel', 'kestrel ada')).toBe(false)
  expect(holds('anything', '')).toBe(true)
})
