/** Numbers and times in words, the same everywhere. */
export const percent = (share: number) => `${hundredths(share)} %`

/** A share in whole hundredths, half up: 0.145 is 15, though 0.145 × 100 is a hair below 14.5 in binary. */
export const hundredths = (share: number) => Math.round(Number((share * 100).toPrecision(12)))

/** A rational as the API writes it ("7/2", "0.5", "3") as a number. */
export function rational(text: string): number {
  const [over = '0', under = '1'] = text.split('/')
  return Number(over) / Number(under)
}

/** 73/20 reads as 3.65 where the decimal ends soon; what is no number stays as it is. */
export function decimal(text: string): string {
  const value = rational(text)
  const short = String(Math.round(value * 1e6) / 1e6)
  return text.trim() !== '' && Math.abs(Number(short) - value) < 1e-12 ? short : text
}

/** Marks without needless zeros: 3, 2.5, 0.33. */
export const marks = (value: number) => String(Math.round(value * 100) / 100)

/** Marks with their word: `1 mark`, `2.5 marks`. */
export const inMarks = (points: string) => `${decimal(points)} ${decimal(points) === '1' ? 'mark' : 'marks'}`

/** From the fewest to the most: `4 to 6 marks`; one figure where they are the same. */
export const spanInMarks = (least: string, most: string) =>
  least === most ? inMarks(most) : `${decimal(least)} to ${decimal(most)} marks`

/** A sentence with true minus signs, whose figures stay with their signs where a line ends. */
export const typeset = (sentence: string) =>
  sentence.replace(/(?<== )-(?=\d)/g, '−').replace(/ (?=[=%])|(?<==) /g, '\u00a0')

/** A time as people say it: 4.2 s, 48 s, 2 min 5 s. */
export function duration(seconds: number): string {
  if (seconds < 9.95) return `${seconds.toFixed(1)} s`
  const whole = Math.round(seconds)
  const minutes = Math.floor(whole / 60)
  return minutes === 0 ? `${whole} s` : whole % 60 === 0 ? `${minutes} min` : `${minutes} min ${whole % 60} s`
}

/** The three steps of confidence, the first for 1. */
export const SURE = ['guessing', 'fairly sure', 'sure'] as const

/** The first words of what may be long. */
export const begun = (words: string, most = 60) =>
  words.length > most ? `${words.slice(0, most - 1).replace(/[\s,;–-]+$/, '')}…` : words

export const plural = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`

const DAY = 86_400_000
const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const near = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
const far = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })

/** A moment as people say it: the time today, the day this year. */
export function moment(iso: string, now = new Date()): string {
  const date = new Date(iso)
  if (date.toDateString() === now.toDateString()) return clock.format(date)
  return Math.abs(now.getTime() - date.getTime()) < 300 * DAY ? near.format(date) : far.format(date)
}
/** A moment some minutes after another. */
export const later = (iso: string, minutes: number) => new Date(Date.parse(iso) + minutes * 60_000).toISOString()

export const timeOfDay = (date: Date) => clock.format(date)

/** Rich text as plain words, for titles and labels. */
export function plain(html: string): string {
  const page = new DOMParser().parseFromString(html.replace(/<\/(p|li|h3|td)>/g, ' </$1>'), 'text/html')
  return (page.body.textContent ?? '').replace(/\s+/g, ' ').trim()
}
