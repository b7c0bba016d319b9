import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { plainOf } from '../parts/values'
import { mixed } from './mixed'

export const order: Kind<'order'> = {
  name: 'order',
  answer: 'put in order',
  blank: () => ({
    things: ['t1', 't2', 't3'].map((id) => ({ id, text: '' })),
    mode: 'exact',
    lines: [],
  }),
  face: (rule) => ({ things: mixed(rule.things) }),
  keyLines: (rule) => [
    {
      line: '',
      mark: '✓',
      text: rule.things.map((t) => plainOf(t.text)).join(' → '),
      rich: false,
      credit: '1',
      isKey: true,
      misconception: null,
      feedback: '',
      shown: false,
    },
    ...rule.lines.map((l, i) => ({
      line: `line ${i + 1}`,
      mark: String(i + 1),
      text: l.order.map((id) => plainOf(rule.things.find((t) => t.id === id)?.text ?? '?')).join(' → '),
      rich: false,
      credit: l.credit,
      isKey: false,
      misconception: l.misconception,
      feedback: l.feedback,
      shown: false,
    })),
  ],
  criteria: () => [],
  byHand: false,
  asGiven: true,
  accepting: {
    says: 'This order is right too, for everyone who gave it, now and later.',
    inPart: true,
  },
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('./Given')),
  Paper: part(() => import('./Paper')),
}
