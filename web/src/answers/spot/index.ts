import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { plainOf } from '../parts/values'

export const spot: Kind<'spot'> = {
  name: 'spot',
  answer: 'marked on a picture',
  blank: () => ({ mode: 'points', regions: [], asked: 1, labels: [], key: [], overlap: '1/3', picture: null }),
  face: ({ mode, asked, labels, picture }) => ({
    mode,
    asked,
    labels: [...labels].sort((a, b) => a.text.localeCompare(b.text)),
    picture,
  }),
  keyLines: (rule) =>
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
    }),
  criteria: () => [],
  byHand: false,
  drawn: true,
  accepting: null,
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('./Given')),
  Paper: part(() => import('./Paper')),
}
