import { describe, expect, it } from 'vitest'
import { askedOf, conditionOf, inWords, partsOf, percentOf, shareOf, type Asked } from './condition'

const ANSWER: Asked = { name: 'answer', says: 'the answer', kind: 'number' }
const TEXT: Asked = { name: 'text', says: 'what was typed', kind: 'words' }
const SHARE: Asked = { name: 'share', says: 'the share of marks here', kind: 'share' }
const CHOICE: Asked = {
  name: 'q1.answer',
  says: 'question 1',
  kind: 'one of',
  values: [
    { value: 'a', label: 'Neap' },
    { value: 'b', label: 'Spring' },
  ],
}
const KNOWN = [ANSWER, TEXT, SHARE, CHOICE]

describe('A condition in parts', () => {
  it.each([
    ['answer < 0', 'the answer is below 0'],
    ['within(answer, 3.6, 0.05)', 'the answer lies near 3.6 (± 0.05)'],
    ['within(answer, h - l, 0.05)', 'the answer lies near h - l (± 0.05)'],
    ['same(text, "ebb and flow") and answer >= 2', 'what was typed says ebb and flow and the answer is at least 2'],
    ['share < 1/2', 'the share of marks here is below 50 %'],
    ['q1.answer = "b"', 'question 1 is Spring'],
    ['answer <> max(2, 3)', 'the answer is not max(2, 3)'],
  ])('%s is read, and written as it was', (typed, words) => {
    const parts = partsOf(typed, KNOWN)!
    expect(conditionOf(parts, KNOWN)).toBe(typed)
    expect(inWords(typed, KNOWN)).toBe(words)
  })

  it.each([
    'answer < 0 or answer > 9',
    'not answer = 1',
    '0 < answer < 5',
    'answer < 3 < 5',
    'other = 1',
    'answer + 1 = 2',
    'text = 5',
    'contains(answer, "x")',
    'within(answer, min(1, 2), 0.1)',
    '',
  ])('%s says more than parts can, and stays as it was typed', (typed) => {
    expect(partsOf(typed, KNOWN)).toBeNull()
    expect(inWords(typed, KNOWN)).toBe(typed)
  })

  it('signs of a keyboard and of a book are the same', () => {
    expect(partsOf('answer ≥ 2 and answer≠3', KNOWN)?.map((p) => p.how)).toEqual(['at least', 'is not'])
  })

  it('a quote in the words cannot end them', () => {
    const parts = [{ name: 'text', how: 'contains' as const, value: 'a" or "b' }]
    expect(conditionOf(parts, KNOWN)).toBe('contains(text, "a or b")')
  })

  it('another thing of the same kind keeps what is said of it; one of another begins anew', () => {
    const part = { name: 'answer', how: 'within' as const, value: '3', near: '0.1' }
    const other: Asked = { name: 'q2.answer', says: 'question 2', kind: 'number' }
    expect(askedOf(part, other, KNOWN)).toEqual({ ...part, name: 'q2.answer' })
    expect(askedOf(part, SHARE, KNOWN)).toEqual({ name: 'share', how: 'below', value: '1/2' })
    expect(askedOf(part, CHOICE, KNOWN)).toEqual({ name: 'q1.answer', how: 'is', value: 'a' })
    expect(askedOf(part, TEXT, KNOWN)).toEqual({ name: 'text', how: 'same', value: '' })
  })

  it('shares are written as percentages', () => {
    expect([percentOf('2/3'), percentOf('0.5'), percentOf('h')]).toEqual(['66.7 %', '50 %', 'h'])
    expect([shareOf('50'), shareOf('66,7 %'), shareOf('h')]).toEqual(['0.5', '0.667', 'h'])
  })
})
