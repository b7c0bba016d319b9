import { describe, expect, it } from 'vitest'
import { domainInWords, formulaOf, readDomain, readVariable } from './domains'

describe('What a variable may be', () => {
  it.each([
    ['2 to 6', { from: '2', to: '6' }],
    ['2 to 6 step 0.5', { from: '2', to: '6', step: '0.5' }],
    ['from −1 to 3 by 1/4', { from: '-1', to: '3', step: '1/4' }],
    ['1..9, step 2', { from: '1', to: '9', step: '2' }],
    ['0.4, 0.8, 1.2', { choices: ['0.4', '0.8', '1.2'] }],
    ['1 or 2 or 4', { choices: ['1', '2', '4'] }],
    ['0,4; 0,8', { choices: ['0.4', '0.8'] }],
    ['7', { choices: ['7'] }],
    ['= l + r', { is: 'l + r' }],
    ['l + r', { is: 'l + r' }],
  ])('is read as it is typed: %s', (typed, read) => expect(readDomain('h', typed)).toEqual({ name: 'h', ...read }))

  it('comes with its name in one line', () => {
    expect(readVariable('h = 3.6 to 5 step 0.2')).toEqual({ name: 'h', from: '3.6', to: '5', step: '0.2' })
    expect(readVariable('T one of 1, 2, 4')).toEqual({ name: 't', choices: ['1', '2', '4'] })
    expect(readVariable('fall = r * 3 / 12')).toEqual({ name: 'fall', is: 'r * 3 / 12' })
    expect(readVariable('h')).toBeNull()
    expect(readVariable('')).toBeNull()
  })

  it('is written again as it can be read', () => {
    for (const typed of ['2 to 6 step 0.5', '0.4, 0.8, 1.2', '= l + r', '2 to 6'])
      expect(domainInWords(readDomain('h', typed))).toBe(typed)
  })
})

it('the formula of a line is found, whole or between braces', () => {
  const known = ['h', 'h - l', 'h - l / 2']
  expect(formulaOf('= h - l m ± 0.05', known)).toBe('h - l')
  expect(formulaOf('= h - l / 2', known)).toBe('h - l / 2')
  expect(formulaOf('It falls { h - l } m.', known)).toBe('h - l')
  expect(formulaOf('3.6 m', known)).toBeNull()
  expect(formulaOf('= k', known)).toBeNull()
})
