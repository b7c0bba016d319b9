import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { lines } from './lines'

export const text: Kind<'text'> = {
  name: 'text',
  answer: 'words',
  blank: () => ({
    forms: [{ text: '', credit: '1', feedback: '', misconception: null }],
    folding: { case: true, accents: false, punctuation: true, articles: false },
    allowSlips: false,
  }),
  face: () => ({}),
  keyLines: lines,
  criteria: () => [],
  byHand: false,
  accepting: {
    says: 'Everyone who wrote the same, after folding capitals and spacing, gets the same credit, now and later.',
    inPart: true,
  },
  fromLine: (_, text) => ({ text }),
  asked: () => [{ name: 'text', says: 'the answer', kind: 'words' }],
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Small: part(() => import('../parts/SmallTyped')),
  Given: part(() => import('../parts/TypedGiven')),
  Paper: part(() => import('./Paper')),
}
