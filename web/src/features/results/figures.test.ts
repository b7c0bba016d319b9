import { describe, expect, it } from 'vitest'
import { typeset } from '@/lib/format'
import { apart, gravest, points, two } from './figures'

describe('names at the ends of lines', () => {
  it('stay where they belong when there is room', () => {
    expect(apart([10, 60, 120], 15, 170)).toEqual([10, 60, 120])
  })
  it('move apart, and up where the bottom is near', () => {
    expect(apart([20, 22, 160, 162, 162], 15, 170)).toEqual([20, 35, 140, 155, 170])
  })
  it('may be none', () => {
    expect(apart([], 15, 170)).toEqual([])
  })
})

describe('figures in words', () => {
  it('have a true minus sign and do not break from their sign', () => {
    expect(two(-0.061)).toBe('−0.06')
    expect(typeset('hardly better (r = -0.06, n = 78): below 5 %.')).toBe(
      'hardly better (r\u00a0=\u00a0−0.06, n\u00a0=\u00a078): below 5\u00a0%.',
    )
  })
})

describe('The question to look at first', () => {
  const q = (id: string, ...kinds: string[]) => ({ id, flags: kinds.map((kind) => ({ kind })) })
  it('is the one whose flag is the gravest, the earlier of two alike', () => {
    const all = [
      q('a', 'idle distractor'),
      q('b', 'few'),
      q('c', 'two readings'),
      q('d', 'idle distractor', 'perhaps mis-keyed'),
    ]
    expect(gravest(all)?.id).toBe('d')
    expect(gravest(all.slice(0, 3))?.id).toBe('c')
    expect(gravest([q('x', 'rushed'), q('y', 'rushed')])?.id).toBe('x')
  })
  it('is none where no flag says anything', () => {
    expect(gravest([q('a'), q('b', 'few')])).toBeUndefined()
    expect(gravest([])).toBeUndefined()
  })
})

describe('A difference in points', () => {
  it('has its sign, and none where it rounds to nothing', () => {
    expect([0.246, -0.5, 0.004, -0.004].map(points)).toEqual(['+25 points', '−50 points', '0 points', '0 points'])
  })
})
