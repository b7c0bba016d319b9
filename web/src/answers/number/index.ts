import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { lines } from './lines'

export const number: Kind<'number'> = {
  name: 'number',
  answer: 'a number',
  blank: () => ({
    targets: [{ value: '', tolerance: '0', kind: 'absolute', credit: '1', feedback: '', misconception: null }],
    unit: '',
    unitUse: 'none',
  }),
  face: (rule) => ({ unit: rule.unit, unitUse: rule.unitUse }),
  keyLines: lines,
  criteria: () => [],
  byHand: false,
  accepting: {
    says: 'Everyone who gave this value gets the same credit, however they wrote it, now and later.',
    inPart: true,
  },
  fromLine: (_, text) => ({ text }),
  asked: () => [
    { name: 'answer', says: 'the answer', kind: 'number' },
    { name: 'text', says: 'what was typed', kind: 'words' },
  ],
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Small: part(() => import('../parts/SmallTyped')),
  Given: part(() => import('../parts/TypedGiven')),
  Paper: part(() => import('./Paper')),
}
