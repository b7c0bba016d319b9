import { describe, expect, it } from 'vitest'
import { moved } from './moved'

describe('Times moved to the next week that lies ahead', () => {
  it('keeps weekday and time of day', () => {
    const at = new Date(2026, 10, 3, 9, 15)
    const next = new Date(moved(at.toISOString(), new Date(2026, 10, 27, 12)) ?? '')
    expect([next.getDay(), next.getHours(), next.getMinutes()]).toEqual([at.getDay(), 9, 15])
    expect(next).toEqual(new Date(2026, 11, 1, 9, 15))
  })
  it('leaves what lies ahead, and nothing where nothing is set', () => {
    const ahead = new Date(2026, 11, 24, 8).toISOString()
    expect(moved(ahead, new Date(2026, 10, 27))).toBe(ahead)
    expect([moved(null), moved(undefined)]).toEqual([null, null])
  })
})
