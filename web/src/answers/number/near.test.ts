import { expect, it } from 'vitest'
import { nearInWords, reach } from './near'

it.each([
  ['3.65', '0.05', 'absolute', 3.6, 3.7],
  ['-200', '1/10', 'relative', -220, -180],
  ['3.146', '2', 'decimals', 3.141, 3.151],
  ['3146', '2', 'figures', 3096, 3196],
  ['0.0314', '2', 'figures', 0.0309, 0.0319],
  ['2', '3', 'range', 2, 5],
  ['1/3', '0', 'absolute', 1 / 3, 1 / 3],
] as const)('%s, near by %s (%s), counts from %d to %d', (value, tolerance, kind, low, high) => {
  const [from, to] = reach({ value, tolerance, kind })!
  expect(from).toBeCloseTo(low, 9)
  expect(to).toBeCloseTo(high, 9)
})

it('what is no number yet has no reach', () => {
  for (const value of ['', ' ', '= h - l', 'x']) expect(reach({ value, tolerance: '0', kind: 'absolute' })).toBeNull()
})

it('is told in words', () => {
  const same = (text: string) => text
  expect(nearInWords('0', 'absolute', same)).toBe('')
  expect(nearInWords('0.05', 'relative', same)).toBe('± 0.05 × value')
  expect(nearInWords('2', 'decimals', same)).toBe('to 2 d.p.')
  expect(nearInWords('3', 'range', same)).toBe('up to 3 more')
})
