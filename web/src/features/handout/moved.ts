const WEEK = 7 * 24 * 3600_000

type Times = { opensAt: string | null; closesAt: string | null }

/**
 * The same weekdays and times in the first week that still lies ahead, both moved alike; by the clock on the wall, so that summer time
 * moves no lesson.
 */
export function moved({ opensAt, closesAt }: Times, now = new Date()): Times {
  const first = opensAt ?? closesAt
  if (first === null) return { opensAt, closesAt }
  const weeks = Math.max(0, Math.floor((now.getTime() - Date.parse(first)) / WEEK) + 1)
  const later = (iso: string | null) => {
    if (iso === null) return null
    const at = new Date(iso)
    at.setDate(at.getDate() + 7 * weeks)
    return at.toISOString()
  }
  return { opensAt: later(opensAt), closesAt: later(closesAt) }
}
