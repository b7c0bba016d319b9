import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { letter } from '../parts/letter'

export const choice: Kind<'choice'> = {
  name: 'choice',
  answer: 'picked',
  blank: () => ({
    options: ['a', 'b', 'c', 'd'].map((id) => ({ id, text: '', key: false, feedback: '', misconception: null })),
    several: false,
    perOption: false,
    keepLast: false,
  }),
  face: (rule) => ({ options: rule.options.map(({ id, text }) => ({ id, text })), several: rule.several }),
  keyLines: (rule) =>
    rule.options.map((o, i) => ({
      line: o.id,
      mark: letter(i),
      text: o.text,
      rich: true,
      credit: o.credit ?? (o.key ? '1' : '0'),
      isKey: o.key,
      misconception: o.misconception,
      feedback: o.feedback,
      shown: true,
    })),
  criteria: () => [],
  byHand: false,
  asGiven: true,
  accepting: { says: 'This option becomes a key, for everyone who picked it.', inPart: false },
  fromLine: (rule, line) => {
    const options = line
      .split(/[\s,;]+/)
      .flatMap((mark) => rule.options.filter((_, i) => letter(i) === mark.toUpperCase()).map((o) => o.id))
    return options.length > 0 ? { options } : null
  },
  asked: (rule) =>
    rule.several
      ? []
      : [
          {
            name: 'answer',
            says: 'the answer',
            kind: 'one of',
            values: rule.options.map(({ id }, i) => ({ value: id, label: letter(i) })),
          },
        ],
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Small: part(() => import('./Small')),
  Given: part(() => import('./Given')),
  Paper: part(() => import('./Paper')),
}
