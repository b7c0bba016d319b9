import { rational } from '@/lib/format'
import type { KeyLine, RuleOf } from '../kinds'

/** The expressions in the order they are tried. */
export const lines = (rule: RuleOf<'expression'>): KeyLine[] =>
  rule.lines.map((l, i) => ({
    line: `line ${i + 1}`,
    mark: String(i + 1),
    text: l.expression,
    rich: false,
    credit: l.credit,
    isKey: rational(l.credit) === 1,
    misconception: l.misconception,
    feedback: l.feedback,
    shown: false,
  }))
