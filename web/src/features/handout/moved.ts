const WEEK = 7 * 24 * 3600_000

/** The same weekday and time in the first week that still lies ahead; by the clock on the wall, so that summer time moves no lesson. */
export function moved(iso: string | null | undefined, now = new Date()): string | null {
  if (!iso) return null
  const at = new Date(iso)
  const weeks = Math.max(0, Math.ceil((now.getTime() - at.getTime()) / WEEK))
  at.setDate(at.getDate() + 7 * weeks)
  if (at <= now) at.setDate(at.getDate() + 7)
  return at.toISOString()
}
