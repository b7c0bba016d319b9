import { describe, expect, it } from 'vitest'
import { faultNamed, faultsNamed } from './faultNamed'

describe('The place of a fault', () => {
  it.each([
    ['rule.options.0.text', 'Option A'],
    ['rule.targets.1.tolerance', 'Value 2, tolerance'],
    ['rule.gaps.4.rule.targets.0.value', 'Gap 5, rule, value 1'],
    ['rule.criteria.1.levels.0.descriptor', 'Criterion 2, level 1, descriptor'],
    ['rule.unitUse', 'Unit use'],
    ['rule', ''],
  ])('%s is called %s', (path, name) => {
    expect(faultNamed(path)).toBe(name)
  })

  it('leads the message, where there is a place', () => {
    expect(faultsNamed({ 'rule.options.1.text': 'Too long.', rule: 'No key.', prompt: 'Empty.' })).toEqual([
      'Option B: Too long.',
      'No key.',
    ])
  })
})
