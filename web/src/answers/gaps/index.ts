import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { firstOf, wordsOf } from './written'

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
    ...(rule.bank ? { bank: [...wordsOf(rule), ...rule.bank].sort((a, b) => a.localeCompare(b)) } : {}),
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
  accepting: {
    says: 'In each gap that earned less, everyone who wrote the same gets the same credit, now and later.',
    inPart: true,
  },
  fromLine: (rule, line) => {
    const words = line.split(';').map((word) => word.trim())
    return { gaps: Object.fromEntries(rule.gaps.map((gap, i) => [gap.id, words[i] ?? ''])) }
  },
  asked: (rule) =>
    rule.gaps.map((gap, i) => ({
      name: gap.id,
      says: `gap ${i + 1}`,
      ...('options' in gap.rule
        ? { kind: 'one of', values: gap.rule.options.map(({ id, text }) => ({ value: id, label: text })) }
        : { kind: gap.type === 'number' ? 'number' : 'words' }),
    })),
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  rest: () => import('./Bank'),
  Given: part(() => import('./Given')),
  Paper: part(() => import('./Paper')),
}
