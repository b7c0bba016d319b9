/**
 * Dates and times as a British teacher writes and reads them: the day before the month, 24 hours. Fields hold a moment
 * as local time to the minute, `2026-11-27T15:30`; the empty text is no moment.
 */
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
const DAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat']

const whole = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
})

const two = (n: number) => String(n).padStart(2, '0')
export const localText = (d: Date) =>
  `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}T${two(d.getHours())}:${two(d.getMinutes())}`

/** A moment of the server's as a field holds it, to the minute. */
export const toLocal = (iso: string | null) => (iso ? localText(new Date(iso)) : '')
/** And back. */
export const fromLocal = (local: string) => (local ? new Date(local).toISOString() : null)

/** `Fri 27 Nov 2026, 15:30`. */
export const writeMoment = (local: string) => (local ? whole.format(new Date(local)) : '')

/**
 * Reads what people type: `27 Nov 15:30`, `27/11 15.30`, `27.11.2026 8:05`, `fri 9:00`, `tomorrow 8:30`, `15:30`. A day
 * without a year is the next one there is; a time alone is the next such time.
 *
 * @returns the moment as local time, '' for nothing, null where it cannot be read
 */
export function readMoment(text: string, now: Date): string | null {
  const typed = text.trim().toLowerCase().replace(/\s+/g, ' ')
  if (typed === '') return ''
  const iso = /^(\d{4}-\d{2}-\d{2})[t ](\d{2}:\d{2})/.exec(typed)
  if (iso) return valid(new Date(`${iso[1]}T${iso[2]}`))
  // A full stop stands between hour and minute only where a day stands before it.
  const time = /(?:^|[ ,])(?:at )?(\d{1,2}):(\d{2})$/.exec(typed) ?? /[ ,](?:at )?(\d{1,2})\.(\d{2})$/.exec(typed)
  if (!time) return null
  const [hour, minute] = [Number(time[1]), Number(time[2])]
  if (hour > 23 || minute > 59) return null
  const day = typed.slice(0, time.index).replace(/[ ,]+$/, '')
  const at = (date: Date) => new Date(date.getFullYear(), date.getMonth(), date.getDate(), hour, minute)
  const ahead = (days: number) => at(new Date(now.getFullYear(), now.getMonth(), now.getDate() + days))
  if (day === '') return localText(ahead(0) > now ? ahead(0) : ahead(1))
  if (day === 'today') return localText(ahead(0))
  if (day === 'tomorrow') return localText(ahead(1))
  const weekday = /^(sun|mon|tue|wed|thu|fri|sat)[a-z]*$/.exec(day)
  if (weekday) {
    const days = (DAYS.indexOf(weekday[1] ?? '') - now.getDay() + 7) % 7
    return localText(days === 0 && ahead(0) <= now ? ahead(7) : ahead(days))
  }
  const words = /^(?:[a-z]+,? )?(\d{1,2})(?:st|nd|rd|th)? ([a-z]{3})[a-z]*\.?,?(?: (\d{4}))?$/.exec(day)
  const figures = /^(\d{1,2})[/.-](\d{1,2})\.?(?:[/.-]?(\d{4}|\d{2}))?$/.exec(day)
  const found = words ?? figures
  if (!found) return null
  const month = words ? MONTHS.indexOf(words[2] ?? '') : Number(found[2]) - 1
  const year = found[3] === undefined ? null : Number(found[3]) + (found[3].length === 2 ? 2000 : 0)
  const date = (y: number) => new Date(y, month, Number(found[1]), hour, minute)
  const one = date(year ?? now.getFullYear())
  // 31 November is no day, though a machine makes it 1 December.
  if (month < 0 || one.getMonth() !== month || one.getDate() !== Number(found[1])) return null
  const longAgo = now.getTime() - one.getTime() > 60 * 86_400_000
  return valid(year === null && longAgo ? date(now.getFullYear() + 1) : one)
}

const valid = (date: Date) => (Number.isNaN(date.getTime()) ? null : localText(date))
