import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { lines } from './lines'

export const expression: Kind<'expression'> = {
  name: 'expression',
  answer: 'an expression',
  blank: () => ({
    lines: [{ expression: '', credit: '1', feedback: '', misconception: null }],
    names: ['x'],
    shape: null,
    subject: '',
    formless: '1/2',
    from: '-6',
    to: '6',
  }),
  face: (rule) => ({ names: rule.names }),
  keyLines: lines,
  criteria: () => [],
  byHand: false,
  accepting: { says: 'Everyone who wrote what is equal to it gets the same credit, now and later.', inPart: true },
  fromLine: (_, text) => ({ text }),
  asked: () => [{ name: 'text', says: 'the answer', kind: 'words' }],
  Editor: part(() => import('./Editor')),
  Input: part(async () => {
    const input = await import('./Input')
    await input.bringMathField()
    return input
  }),
  Given: part(() => import('../parts/TypedGiven')),
  Paper: part(() => import('./Paper')),
}
