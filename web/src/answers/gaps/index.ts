import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { firstOf } from './written'

export const gaps: Kind<'gaps'> = {
  name: 'gaps',
  answer: 'filled into a passage',
  blank: () => ({ passage: '', gaps: [] }),
  face: (rule) => ({
    passage: rule.passage,
    gaps: rule.gaps.map(({ id, type, rule }) => ({
      id,
      type,
      ...('targets' in rule ? { unit: rule.unit, unitUse: rule.unitUse } : {}),
      ...('options' in rule ? { options: rule.options.map(({ id, text }) => ({ id, text })) } : {}),
    })),
  }),
  keyLines: (rule) =>
    rule.gaps.map((gap, i) => ({
      line: gap.id,
      mark: String(i + 1),
      text: firstOf(gap),
      rich: false,
      credit: '1',
      isKey: true,
      misconception: null,
      feedback: '',
      shown: false,
    })),
  criteria: () => [],
  byHand: false,
  accepting: null,
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('./Given')),
  Paper: part(() => import('./Paper')),
}
