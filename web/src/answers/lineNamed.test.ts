import { describe, expect, it } from 'vitest'
import { lineNamed } from './lineNamed'
import { blankItem } from './registry'

const target = { value: '3', tolerance: '0', kind: 'absolute', credit: '1', feedback: '', misconception: null } as const

describe('The line that marked an answer', () => {
  const number = blankItem('number')
  const twoValues = { ...number, rule: { ...number.rule, targets: [target, { ...target, value: '30', credit: '0' }] } }

  it('is called by its place in the key, with what else the rule found', () => {
    expect(lineNamed(twoValues, 'target 2')).toBe('line 2')
    expect(lineNamed(twoValues, 'target 1, form')).toBe('line 1, form')
  })

  it('is an option’s letter, never its id', () => {
    const choice = blankItem('choice')
    const [first, second] = choice.rule.options
    expect(lineNamed(choice, `${first!.id}+${second!.id}`)).toBe('option A and option B')
  })

  it('stays what it is where it is a count or nothing', () => {
    expect(lineNamed(blankItem('match'), '2 of 3')).toBe('2 of 3')
    expect(lineNamed(blankItem('order'), '')).toBe('')
  })
})
