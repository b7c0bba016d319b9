/** What a condition may ask for. */
export type Asked = {
  name: string
  /** as a sentence says it: “the answer”, “row 2, column 1” */
  says: string
  /** a number, words, a share that is written as a percentage, what a question earned of 1, or one of a few */
  kind: 'number' | 'words' | 'share' | 'credit' | 'one of'
  values?: readonly { value: string; label: string }[]
}

/** What the conditions after a section may ask for; its questions as they are called there. */
export const askedAfter = (questions: readonly string[], share = 'share here'): Asked[] => [
  { name: 'share', says: share, kind: 'share' },
  ...questions.map((says, i): Asked => ({ name: `q${i + 1}`, says, kind: 'credit' })),
]

const HOWS = {
  below: 'is below',
  'at most': 'is at most',
  above: 'is above',
  'at least': 'is at least',
  is: 'is',
  'is not': 'is not',
  within: 'lies near',
  same: 'says',
  contains: 'contains',
  matches: 'has the form',
} as const
export type How = keyof typeof HOWS

/** The same as it is said of what a question earned. */
const EARNS: Partial<Record<How, string>> = {
  below: 'earns below',
  'at most': 'earns at most',
  above: 'earns above',
  'at least': 'earns at least',
  is: 'earns',
  'is not': 'does not earn',
}
export const howSaid = ({ kind }: Asked, how: How) => (kind === 'credit' ? (EARNS[how] ?? HOWS[how]) : HOWS[how])

/** One part of a condition: of what, how, and with what; all as the formula language writes it, words without their quotes. */
export type ConditionPart = { name: string; how: How; value: string; near?: string }

const SIGNS: Partial<Record<How, string>> = {
  below: '<',
  'at most': '<=',
  above: '>',
  'at least': '>=',
  is: '=',
  'is not': '<>',
}
const BY_SIGN: Record<string, How> = {
  '<': 'below',
  '<=': 'at most',
  '≤': 'at most',
  '>': 'above',
  '>=': 'at least',
  '≥': 'at least',
  '=': 'is',
  '==': 'is',
  '<>': 'is not',
  '≠': 'is not',
}

/** What can be said of a kind of thing, the most usual first. */
export const howsOf = ({ kind }: Asked): How[] =>
  kind === 'words'
    ? ['same', 'contains', 'matches', 'is', 'is not']
    : kind === 'one of'
      ? ['is', 'is not']
      : kind === 'share' || kind === 'credit'
        ? ['below', 'at most', 'above', 'at least', 'is', 'is not']
        : ['is', 'is not', 'within', 'below', 'at most', 'above', 'at least']

const NAME = '[A-Za-z][A-Za-z0-9]*(?:\\.[A-Za-z][A-Za-z0-9]*)?'
const COMPARED = new RegExp(`^(${NAME})\\s*(<=|>=|<>|==|[<>=≤≥≠])\\s*(.*)$`)
const CALLED = new RegExp(`^(same|contains|matches)\\(\\s*(${NAME})\\s*,\\s*"([^"]*)"\\s*\\)$`)
const WITHIN = new RegExp(`^within\\(\\s*(${NAME})\\s*,([^,()]*),([^,()]*)\\)$`)
const TEXT = /^"[^"]*"$/

/** Words as the formula language has them: it knows no quote within quotes. */
const quoted = (words: string) => `"${words.replaceAll('"', '')}"`

/**
 * A condition taken apart, where it says no more than some of these parts hold together; null where it says more, and is to be read
 * as it was typed.
 */
export function partsOf(condition: string, known: readonly Asked[]): ConditionPart[] | null {
  const parts: ConditionPart[] = []
  for (const one of apart(condition)) {
    const part = partOf(one.trim())
    const of = part && known.find(({ name }) => name === part.name)
    if (!part || !of || !howsOf(of).includes(part.how)) return null
    if (TEXT.test(part.value)) part.value = part.value.slice(1, -1)
    // A number is compared with what is written as one, words with words: all else is a formula, and stays as it was typed.
    else if (isWords(part.how) ? false : of.kind === 'words' || of.kind === 'one of') return null
    else if (!isWords(part.how) && /["=<>≤≥≠]|\b(?:and|or|not|if)\b/.test(part.value)) return null
    parts.push(part)
  }
  return parts
}

const isWords = (how: How) => how === 'same' || how === 'contains' || how === 'matches'

function partOf(text: string): ConditionPart | null {
  const called = CALLED.exec(text)
  if (called) return { name: called[2]!, how: called[1] as How, value: called[3]! }
  const within = WITHIN.exec(text)
  if (within) return { name: within[1]!, how: 'within', value: within[2]!.trim(), near: within[3]!.trim() }
  const compared = COMPARED.exec(text)
  return compared && { name: compared[1]!, how: BY_SIGN[compared[2]!]!, value: compared[3]!.trim() }
}

/** At each `and` that stands outside quotes and brackets. */
function apart(condition: string): string[] {
  const pieces: string[] = []
  let [from, depth] = [0, 0]
  for (const { 0: found, index } of condition.matchAll(/"[^"]*"|[([]|[)\]]|\band\b/g)) {
    if (found === '(' || found === '[') depth += 1
    else if (found === ')' || found === ']') depth -= 1
    else if (found === 'and' && depth === 0) {
      pieces.push(condition.slice(from, index))
      from = index + 3
    }
  }
  return [...pieces, condition.slice(from)]
}

/** The parts as the formula language writes them. */
export const conditionOf = (parts: readonly ConditionPart[], known: readonly Asked[]) =>
  parts
    .map(({ name, how, value, near }) => {
      if (isWords(how)) return `${how}(${name}, ${quoted(value)})`
      const kind = known.find((one) => one.name === name)?.kind
      const right = kind === 'words' || kind === 'one of' ? quoted(value) : value
      return how === 'within' ? `within(${name}, ${right}, ${near || '0'})` : `${name} ${SIGNS[how]} ${right}`
    })
    .join(' and ')

/** The part with another thing asked for: what is said of it stays where it is a thing of the same kind. */
export const askedOf = (part: ConditionPart, next: Asked, known: readonly Asked[]): ConditionPart =>
  next.kind !== 'one of' && known.find(({ name }) => name === part.name)?.kind === next.kind
    ? { ...part, name: next.name }
    : firstPart(next)

/** A part to begin with. */
export const firstPart = (of: Asked): ConditionPart => ({
  name: of.name,
  how: howsOf(of)[0]!,
  value:
    of.kind === 'one of'
      ? (of.values?.[0]?.value ?? '')
      : of.kind === 'words'
        ? ''
        : of.kind === 'share'
          ? '1/2'
          : of.kind === 'credit'
            ? '1'
            : '0',
})

/** A condition as a sentence, where it can be taken apart; as it was typed where not. */
export function inWords(condition: string, known: readonly Asked[]): string {
  const parts = partsOf(condition, known)
  if (!parts) return condition
  return parts
    .map(({ name, how, value, near }) => {
      const of = known.find((one) => one.name === name)!
      const right =
        of.kind === 'share'
          ? percentOf(value)
          : of.kind === 'one of'
            ? (of.values?.find((v) => v.value === value)?.label ?? value)
            : value
      return `${of.says} ${howSaid(of, how)} ${right}${how === 'within' ? ` (± ${near})` : ''}`
    })
    .join(' and ')
}

/** 1/2 or 0.5 → 50 %; what is no plain number stays as it is. */
export function percentOf(share: string): string {
  const [, top, bottom] = /^(\d+(?:\.\d+)?)(?:\/(\d+))?$/.exec(share.trim()) ?? []
  if (top === undefined) return share
  const percent = (100 * Number(top)) / Number(bottom ?? 1)
  return `${Number(percent.toFixed(1))} %`
}

/** 50 or 50 % → 0.5, exact in decimals; a share below one stays what it is. */
export function shareOf(percent: string): string {
  const [, number] = /^\s*(\d{1,3}(?:[.,]\d{1,2})?)\s*%?\s*$/.exec(percent) ?? []
  if (number === undefined) return percent.trim()
  return String(Number((Number(number.replace(',', '.')) / 100).toFixed(4)))
}
