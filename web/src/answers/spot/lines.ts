import type { KeyLine, RuleOf } from '../kinds'
import { plainOf } from '../parts/values'

/** The places of a picture, with the labels that belong there. */
export const lines = (rule: RuleOf<'spot'>): KeyLine[] =>
  rule.regions.map((region, i) => {
    const labels = Object.entries(rule.key).flatMap(([label, at]) =>
      at === region.id ? [plainOf(rule.labels.find((l) => l.id === label)?.text ?? '')] : [],
    )
    return {
      line: region.id,
      mark: String(i + 1),
      text: [region.name || region.id, labels.join(', ')].filter(Boolean).join(': '),
      rich: false,
      credit: region.credit,
      isKey: rule.mode === 'labels' ? labels.length > 0 : region.credit === '1',
      misconception: region.misconception,
      feedback: region.feedback,
      shown: false,
    }
  })
