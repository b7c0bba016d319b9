import type { Schemas } from '@/lib/api/client'
import { decimal, rational } from '@/lib/format'
import type { KeyLine, RuleOf } from '../kinds'
import { nearInWords } from './near'

/** A value as it is read: `3.65 m ± 0.05`. */
const words = (target: Schemas['Target'], unit: string) =>
  [target.exact ?? decimal(target.value), unit, nearInWords(target.tolerance, target.kind, decimal)]
    .filter(Boolean)
    .join(' ')

/** The values in the order they are tried. */
export const lines = (rule: RuleOf<'number'>): KeyLine[] =>
  rule.targets.map((t, i) => ({
    line: `target ${i + 1}`,
    mark: String(i + 1),
    text: words(t, rule.unit),
    rich: false,
    credit: t.credit,
    isKey: rational(t.credit) === 1,
    misconception: t.misconception,
    feedback: t.feedback,
    shown: false,
  }))
