import { describe, expect, it } from 'vitest'
import { calculate } from './calculate'

const value = (text: string) => {
  const sum = calculate(text)
  return sum && 'value' in sum ? sum.value : sum
}
const fault = (text: string) => {
  const sum = calculate(text)
  return sum && 'fault' in sum ? sum.fault : sum
}

describe('The calculator', () => {
  it.each([
    ['2 + 3 × 4', '14'],
    ['(2 + 3) × 4', '20'],
    ['10 − 4 − 3', '3'],
    ['12 ÷ 4 ÷ 3', '1'],
    ['2 ^ 3 ^ 2', '512'],
    ['−3^2', '-9'],
    ['2 × −3', '-6'],
    ['2^−1', '0.5'],
    ['0.1 + 0.2', '0.3'],
    ['0,1 + 0,2', '0,3'],
    ['.5 × 4', '2'],
    ['1 ÷ 3', '0.3333333333'],
    ['2(3 + 4)', '14'],
    ['2π', '6.283185307'],
    ['√16 + 1', '5'],
    ['√(9 + 16)', '5'],
    ['sin 30', '0.5'],
    ['cos(60)', '0.5'],
    ['cos 90', '0'],
    ['tan 45', '1'],
    ['3√4', '6'],
    ['(1 + 2', '3'],
    ['7', '7'],
    ['6*7', '42'],
    ['6/4', '1.5'],
  ])('%s is %s', (text, is) => expect(value(text)).toBe(is))

  it.each([
    ['1 ÷ 0', 'This is too large, or divided by 0.'],
    ['√(−1)', 'This has no value.'],
    ['tan 90', 'This has no value.'],
    ['2 +', 'Something is missing at the end.'],
    ['× 2', 'Something is missing before “×”.'],
    ['2 3', 'Something is missing between two numbers.'],
    ['(2 3)', 'Something is missing between two numbers.'],
    ['2)', 'A bracket is closed that was not opened.'],
    ['2 & 3', '“&” is no sign of this calculator.'],
    ['('.repeat(60) + '1', 'Too many brackets and signs in one another.'],
    ['1'.repeat(201), 'Longer than 200 signs.'],
  ])('%s says what is wrong', (text, is) => expect(fault(text)).toBe(is))

  it('has nothing to say of nothing', () => expect(calculate('  ')).toBeNull())
})
