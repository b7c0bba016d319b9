import type { Schemas } from '@/lib/api/client'

export type Variable = Schemas['Variable']

const NUMBER = '[-−]?\\d+(?:[.,]\\d+|/\\d+)?'
const RANGE = new RegExp(
  `^(?:from\\s+)?(${NUMBER})\\s*(?:to|–|…|\\.\\.)\\s*(${NUMBER})(?:\\s*(?:,|in)?\\s*(?:steps?\\s+of|step|by)\\s+(${NUMBER}))?$`,
  'i',
)
const LIST = new RegExp(`^${NUMBER}(?:\\s*[,;]\\s*${NUMBER}|\\s+or\\s+${NUMBER})*$`, 'i')
const NAMED = /^\s*([a-z][a-z0-9]{0,19})\s*(?:=|:|is|from|one of)?\s*(.*)$/i

const ONE = new RegExp(`^${NUMBER}$`)

/** A number as formulas write it; what is none stays as it is. */
export const plain = (text: string) => (ONE.test(text) ? text.replace('−', '-').replace(',', '.') : text)

/** What a variable may be, as one types it: `2 to 6 step 0.5`, `0.4, 0.8, 1.2`, or a formula over those above. */
export function readDomain(name: string, typed: string): Variable {
  const text = typed.trim().replace(/^=\s*/, '')
  const range = RANGE.exec(text)
  if (range) {
    const [, from = '', to = '', step] = range
    return { name, from: plain(from), to: plain(to), ...(step ? { step: plain(step) } : {}) }
  }
  // A comma parts values; where a semicolon does, it stands for the decimal point.
  if (LIST.test(text)) {
    const parts = text.includes(';') ? text.split(';') : text.split(/,|\s+or\s+/i)
    return { name, choices: parts.map((n) => plain(n.trim())) }
  }
  return { name, is: text }
}

/** `h = 3.6 to 5 step 0.2`; null where there is no name. */
export function readVariable(line: string): Variable | null {
  const [, name, rest = ''] = NAMED.exec(line) ?? []
  return name && rest.trim() !== '' ? readDomain(name.toLowerCase(), rest) : null
}

export const domainInWords = (v: Variable) =>
  v.is !== undefined
    ? `= ${v.is}`
    : v.choices
      ? v.choices.join(', ')
      : `${v.from ?? '?'} to ${v.to ?? '?'}${v.step ? ` step ${v.step}` : ''}`

/** The formula that a line of a key is, or that it holds in braces; what stands behind it is a unit. */
export function formulaOf(text: string, known: readonly string[]): string | null {
  const longest = [...known].sort((a, b) => b.length - a.length)
  const whole = /^\s*=\s*(.+?)\s*$/.exec(text)?.[1]
  return (
    longest.find((f) =>
      whole ? whole === f || whole.startsWith(`${f} `) : text.replace(/\s/g, '').includes(`{${f.replace(/\s/g, '')}}`),
    ) ?? null
  )
}
