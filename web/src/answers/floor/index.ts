import type { Kind } from '../kinds'
import { part } from '../parts/part'

export const floor: Kind<'floor'> = {
  name: 'said to all',
  answer: 'said to all, not scored',
  blank: () => ({}),
  face: () => ({}),
  keyLines: () => [],
  criteria: () => [],
  byHand: false,
  accepting: null,
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('../parts/TypedGiven')),
  Paper: part(() => import('./Paper')),
}
