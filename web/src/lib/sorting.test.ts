import { describe, expect, it } from 'vitest'
import { holds, ordered, sortingOf, sortingText } from './sorting'

describe('Sorting a list', () => {
  it('reads numbers inside words, and leaves out case', () => {
    expect(['paper 10', 'Paper 2', 'chart', 'paper 2'].sort(ordered)).toEqual([
      'chart',
      'Paper 2',
      'paper 2',
      'paper 10',
    ])
    expect([10, 9, -1].sort(ordered)).toEqual([-1, 9, 10])
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
