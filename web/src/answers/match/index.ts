import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { plainOf } from '../parts/values'
import { nameOf } from './names'

export const match: Kind<'match'> = {
  name: 'match',
  answer: 'matched or sorted',
  blank: () => ({ things: [], places: [], key: [], each: true, copies: false, lines: [] }),
  face: ({ things, places, copies }) => ({
    things: [...things].sort((a, b) => a.text.localeCompare(b.text)),
    places,
    copies,
  }),
  keyLines: (rule) => [
    {
      line: '',
      mark: '✓',
      text: rule.key.map((pair) => nameOf(rule, pair)).join(', '),
      rich: false,
      credit: '1',
      isKey: true,
      misconception: null,
      feedback: '',
      shown: false,
    },
    ...rule.lines.map((l) => ({
      line: `${l.thing}–${l.place}`,
      mark: l.credit === '0' ? '✕' : '≈',
      text: `${plainOf(rule.things.find((t) => t.id === l.thing)?.text ?? '?')} – ${plainOf(rule.places.find((t) => t.id === l.place)?.text ?? '?')}`,
      rich: false,
      credit: l.credit,
      isKey: l.credit === '1',
      misconception: l.misconception,
      feedback: l.feedback,
      shown: false,
    })),
  ],
  criteria: () => [],
  byHand: false,
  asGiven: true,
  accepting: {
    says: 'Each pair that earned less is worth this from now on, for everyone who made it.',
    inPart: true,
  },
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('./Given')),
  Paper: part(() => import('./Paper')),
}
