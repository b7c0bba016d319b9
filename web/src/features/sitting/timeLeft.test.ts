import { act, renderHook } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { leftInWords, useTimeLeft } from './timeLeft'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

describe('Time that is left', () => {
  it('goes down with the time that passes here and begins anew with what the server says', () => {
    const { result, rerender } = renderHook(({ left, heard }) => useTimeLeft(left, heard), {
      initialProps: { left: 90, heard: 1 },
    })
    expect(result.current).toBe(90)
    act(() => void vi.advanceTimersByTime(30_000))
    expect(result.current).toBe(60)
    rerender({ left: 300, heard: 2 })
    expect(result.current).toBe(300)
    act(() => void vi.advanceTimersByTime(400_000))
    expect(result.current).toBe(0)
  })

  it('is not moved by a clock that is wrong, and stands still where none is set', () => {
    vi.setSystemTime(new Date('2020-01-01T00:00:00Z'))
    const { result } = renderHook(() => useTimeLeft(60, 'x'))
    expect(result.current).toBe(60)
    // A clock put back makes it no longer than it was.
    vi.setSystemTime(new Date('2019-01-01T00:00:00Z'))
    act(() => void vi.advanceTimersByTime(1000))
    expect(result.current).toBe(60)
    expect(renderHook(() => useTimeLeft(null, 'x')).result.current).toBeNull()
  })

  it('is said in whole minutes', () => {
    expect([5400, 121, 120, 60, 59, 1, 0].map(leftInWords)).toEqual([
      '1 h 30 min left',
      '3 min left',
      '2 min left',
      '1 min left',
      'less than a minute left',
      'less than a minute left',
      'time is over',
    ])
  })
})
