import { expect, it } from 'vitest'
import type { Item } from '@/answers/kinds'
import { blankItem } from '@/answers/registry'
import { filled } from './filled'

it('a draw stands in texts and where numbers are wanted; what has no value stays as it is written', () => {
  const blank = blankItem('number') as Extract<Item, { type: 'number' }>
  const item: Item = {
    ...blank,
    prompt: '<p>From {l} to { h - l } and {k}: <span data-math="\\frac{1}{l}={= h - l}"></span></p>',
    rule: {
      ...blank.rule,
      targets: [{ ...blank.rule.targets[0]!, value: '= h - l', feedback: 'You wrote {answer}.' }],
    },
    variables: [{ name: 'h', from: '1', to: '3' }],
  }
  const made = filled(item, { numbers: { h: '3', l: '1' }, values: { 'h - l': '2', l: '1' }, faults: [] })
  expect(made.prompt).toBe('<p>From 1 to 2 and {k}: <span data-math="\\frac{1}{l}=2"></span></p>')
  expect(made.rule).toMatchObject({ targets: [{ value: '2', feedback: 'You wrote {answer}.' }] })
  expect(made).not.toHaveProperty('variables')
})
