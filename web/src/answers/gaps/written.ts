import type { Schemas } from '@/lib/api/client'
import { decimal } from '@/lib/format'
import type { RuleOf } from '../kinds'

type Rule = RuleOf<'gaps'>
type Gap = Schemas['Gap']
export type Piece = { text: string } | { gap: string }

const MOST = 60

/** A passage by its lines, each in pieces of text and gaps; without a passage each gap stands on a line of its own. */
export function linesOf(passage: string, gaps: readonly { id: string }[]): Piece[][] {
  if (passage === '') return gaps.map(({ id }) => [{ gap: id }])
  const known = new Set(gaps.map((g) => g.id))
  return passage.split('\n').map((line) =>
    line
      .split(/(\[[a-z0-9]{1,12}\])/)
      .filter((part) => part !== '')
      .map((part) => {
        const id = /^\[([a-z0-9]{1,12})\]$/.exec(part)?.[1]
        return id !== undefined && known.has(id) ? { gap: id } : { text: part }
      }),
  )
}

/** What is right in a gap, as it is written first. */
export const firstOf = ({ rule }: Gap): string => {
  if ('forms' in rule) return rule.forms[0]?.text ?? ''
  if ('targets' in rule)
    return [decimal(rule.targets[0]?.value ?? ''), rule.unitUse === 'none' ? '' : rule.unit].join(' ').trim()
  if ('lines' in rule) return rule.lines[0]?.expression ?? ''
  return rule.options.find((o) => o.key)?.text.replace(/<[^>]+>/g, '') ?? ''
}

/** What is right in each gap for words, as it stands in a bank. */
export const wordsOf = ({ gaps }: Rule) =>
  gaps
    .filter((gap) => gap.type === 'text')
    .map(firstOf)
    .filter((word) => word !== '')

/** The passage as it is written: what is right in a gap stands in its brackets. */
export const written = ({ passage, gaps }: Rule) =>
  linesOf(passage, gaps)
    .map((line) =>
      line
        .map((piece) => {
          if ('text' in piece) return piece.text
          const gap = gaps.find((g) => g.id === piece.gap)
          return `[${gap ? firstOf(gap) : ''}]`
        })
        .join(''),
    )
    .join('\n')

// On the way to 3.5 stands 3. for a moment.
const NUMBER = /^([-−+]?\d+(?:[.,]\d*)?)\s*(%|°|\p{L}{1,3})?$/u

const made = (id: string, text: string): Gap => {
  const number = NUMBER.exec(text)
  return number
    ? { id, type: 'number', weight: 1, rule: numberRule(number[1] ?? '', number[2] ?? '') }
    : {
        id,
        type: 'text',
        weight: 1,
        rule: {
          forms: [{ text, credit: '1', feedback: '', misconception: null }],
          folding: { case: true, accents: false, punctuation: true, articles: false },
          allowSlips: false,
        },
      }
}
const numberRule = (value: string, unit: string): Schemas['NumberRule'] => ({
  targets: [
    {
      value: value.replace('−', '-').replace(',', '.').replace(/\.$/, ''),
      tolerance: '0',
      kind: 'absolute',
      credit: '1',
      feedback: '',
      misconception: null,
    },
  ],
  unit,
  unitUse: unit === '' ? 'none' : 'optional',
})

/** The same gap with another first answer; it stays a number only while it is one. */
function rewritten(gap: Gap, text: string): Gap {
  if ('forms' in gap.rule && !NUMBER.test(text)) {
    const [first, ...others] = gap.rule.forms
    return {
      ...gap,
      rule: {
        ...gap.rule,
        forms: [{ credit: '1', feedback: '', misconception: null, ...first, text }, ...others],
      },
    }
  }
  const number = NUMBER.exec(text)
  if ('targets' in gap.rule && number) {
    const { targets, unit, unitUse } = numberRule(number[1] ?? '', number[2] ?? '')
    const [first, ...others] = gap.rule.targets
    const value = targets[0]?.value ?? ''
    return {
      ...gap,
      rule: {
        ...gap.rule,
        targets: [...(first ? [{ ...first, value }] : targets), ...others],
        ...(number[2] ? { unit, unitUse } : {}),
      },
    }
  }
  return made(gap.id, text)
}

/**
 * Reads a passage as it is written: every pair of brackets is a gap. Gaps keep what else was said of them, by what stands in them
 * and by their place among those that are left.
 */
export function read(text: string, before: Rule): Rule {
  const found = [...text.matchAll(/\[([^\]\n]*)\]/g)].slice(0, MOST)
  const left = new Map(before.gaps.map((gap) => [gap.id, gap]))
  const kept = found.map(([, answer = '']) => {
    const same = [...left.values()].find((gap) => firstOf(gap) === answer)
    if (same) left.delete(same.id)
    return same ?? null
  })
  const used = new Set(before.gaps.map((g) => g.id))
  const gaps = found.map(([, answer = ''], i): Gap => {
    const one = kept[i]
    if (one) return one
    // As many as before: the one that is being typed in is the one that is left.
    const [other] = found.length === before.gaps.length ? left.values() : []
    if (other) {
      left.delete(other.id)
      return rewritten(other, answer)
    }
    let n = 1
    while (used.has(`g${n}`)) n++
    used.add(`g${n}`)
    return made(`g${n}`, answer)
  })
  let at = -1
  const passage = text.replace(/\[([^\]\n]*)\]/g, (whole) => {
    const gap = gaps[++at]
    return gap ? `[${gap.id}]` : whole
  })
  return { ...before, passage, gaps }
}
