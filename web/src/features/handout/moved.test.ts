import { describe, expect, it } from 'vitest'
import { moved } from './moved'

const iso = (...at: [number, number, number, number?]) => new Date(...at).toISOString()

describe('Times moved to the next week that lies ahead', () => {
  it('keeps weekday and time of day', () => {
    expect(moved({ opensAt: iso(2026, 10, 3, 9), closesAt: null }, new Date(2026, 10, 27, 12))).toEqual({
      opensAt: iso(2026, 11, 1, 9),
      closesAt: null,
    })
  })
  it('moves both alike, so that nothing closes before it opens', () => {
    const before = { opensAt: iso(2026, 10, 3, 9), closesAt: iso(2026, 10, 5, 16) }
    expect(moved(before, new Date(2026, 10, 25))).toEqual({
      opensAt: iso(2026, 11, 1, 9),
      closesAt: iso(2026, 11, 3, 16),
    })
  })
  it('goes by the closing time where nothing else is set, and leaves what lies ahead', () => {
    expect(moved({ opensAt: null, closesAt: iso(2026, 10, 20, 15) }, new Date(2026, 10, 20, 15)).closesAt).toBe(
      iso(2026, 10, 27, 15),
    )
    const ahead = { opensAt: iso(2026, 11, 24, 8), closesAt: null }
    expect(moved(ahead, new Date(2026, 10, 27))).toEqual(ahead)
    const none = { opensAt: null, closesAt: null }
    expect(moved(none)).toEqual(none)
  })
})
