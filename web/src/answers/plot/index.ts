import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { targetInWords } from './targets'

const AXIS = { label: '', from: '0', to: '10', step: '1', snap: '1' }

export const plot: Kind<'plot'> = {
  name: 'plot',
  answer: 'plotted on a grid',
  blank: () => ({ ground: { across: AXIS, up: AXIS, curve: false }, targets: [] }),
  face: ({ ground, targets }) => ({
    ground,
    tools: (['point', 'line', 'interval'] as const).filter((tool) =>
      targets.some((t) => t.kind === tool || (tool === 'line' && t.kind === 'upright')),
    ),
  }),
  keyLines: (rule) =>
    rule.targets.map((t, i) => ({
      line: `target ${i + 1}`,
      mark: String(i + 1),
      text: targetInWords(t, !rule.ground.up),
      rich: false,
      credit: t.credit,
      isKey: t.credit === '1',
      misconception: t.misconception,
      feedback: t.feedback,
      shown: false,
    })),
  criteria: () => [],
  byHand: false,
  drawn: true,
  small: true,
  accepting: { says: 'What is plotted here may stand in place of the key, for everyone who plotted it.', inPart: true },
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('./Given')),
  Paper: part(() => import('./Paper')),
}
