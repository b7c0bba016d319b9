import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { lines } from './lines'

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
  keyLines: lines,
  criteria: () => [],
  byHand: false,
  drawn: true,
  small: true,
  accepting: {
    says: 'What this answer points at is worth it from now on; where nothing is drawn yet, a small circle is.',
    inPart: true,
  },
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('./Given')),
  Paper: part(() => import('./Paper')),
}
