import type { Kind } from '../kinds'
import { part } from '../parts/part'

export const open: Kind<'open'> = {
  name: 'open',
  answer: 'explained',
  blank: () => ({
    criteria: [
      {
        name: 'Content',
        levels: [
          { points: '0', descriptor: 'Nothing of it', misconception: null },
          { points: '1', descriptor: 'Part of it', misconception: null },
          { points: '2', descriptor: 'All of it', misconception: null },
        ],
      },
    ],
  }),
  face: (rule) => ({ criteria: rule.criteria.map((c) => c.name) }),
  keyLines: () => [],
  criteria: (rule) => rule.criteria,
  byHand: true,
  accepting: null,
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('../parts/TypedGiven')),
  Paper: part(() => import('./Paper')),
}
