import { rational } from '@/lib/format'
import type { KeyLine, RuleOf } from '../kinds'

/** The forms in the order they are tried. */
export const lines = (rule: RuleOf<'text'>): KeyLine[] =>
  rule.forms.map((f, i) => ({
    line: `form ${i + 1}`,
    mark: String(i + 1),
    text: f.text,
    rich: false,
    credit: f.credit,
    isKey: rational(f.credit) === 1,
    misconception: f.misconception,
    feedback: f.feedback,
    shown: false,
  }))
