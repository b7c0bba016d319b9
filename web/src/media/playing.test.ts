import { describe, expect, it } from 'vitest'
import { partsOf, playedUntil, unplayed, withStretch } from './playing'

describe('What has been played', () => {
  it('is counted in parts of whole seconds, a hundred and twenty at most', () => {
    expect(partsOf(400)).toEqual({ seconds: 1, parts: 1 })
    expect(partsOf(14_200)).toEqual({ seconds: 1, parts: 15 })
    expect(partsOf(120_000)).toEqual({ seconds: 1, parts: 120 })
    expect(partsOf(120_001)).toEqual({ seconds: 2, parts: 61 })
  })

  it('counts a part each time its middle is passed, the short last one too', () => {
    const once = withStretch(unplayed(2400), 0, 1.49)
    expect(once.times).toEqual([1, 0, 0])
    const on = withStretch(once, 1.49, 2.3)
    expect(on.times).toEqual([1, 1, 1])
    expect(withStretch(on, 0.5, 1.5).times).toEqual([1, 2, 1])
  })

  it('ends where the last part ends that was played, leaps or not', () => {
    expect(playedUntil(unplayed(2400))).toBe(0)
    expect(playedUntil({ millis: 2400, times: [1, 1, 0] })).toBe(2)
    expect(playedUntil({ millis: 2400, times: [0, 0, 2] })).toBe(2.4)
  })
})
