import { useEffect, useState } from 'react'

/**
 * Seconds left, counted on from what the server said: only the device's passing of time is believed, never its clock, which may be
 * wrong by a day.
 */
export function useTimeLeft(secondsLeft: number | null, heard: unknown): number | null {
  const [from, setFrom] = useState({ heard, at: Date.now() })
  const [now, setNow] = useState(from.at)
  if (from.heard !== heard) {
    const at = Date.now()
    setFrom({ heard, at })
    setNow(at)
  }
  const left = secondsLeft === null ? null : Math.max(0, secondsLeft - Math.max(0, Math.floor((now - from.at) / 1000)))
  const runs = left !== null && left > 0
  useEffect(() => {
    if (!runs) return
    const timer = setInterval(() => setNow(Date.now()), 1000)
    return () => clearInterval(timer)
  }, [runs])
  return left
}

/** Calmly: whole minutes until the last one. */
export function leftInWords(seconds: number): string {
  if (seconds >= 60) {
    const minutes = Math.ceil(seconds / 60)
    const hours = Math.floor(minutes / 60)
    return hours > 0 ? `${hours} h ${minutes % 60} min left` : `${minutes} min left`
  }
  return seconds > 0 ? 'less than a minute left' : 'time is over'
}
