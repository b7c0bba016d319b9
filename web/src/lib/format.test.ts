import { describe, expect, it } from 'vitest'
import { begun, inMarks, marks, moment, percent, plain, plural, rational, spanInMarks } from './format'

describe('numbers', () => {
  it('are read as the API writes them', () => {
    expect(rational('7/2')).toBe(3.5)
    expect(rational('-1/4')).toBe(-0.25)
    expect(rational('0.5')).toBe(0.5)
    expect(rational('3')).toBe(3)
  })
  it('carry no needless zeros', () => {
    expect([marks(3), marks(2.5), marks(1 / 3), marks(0.1 + 0.2)]).toEqual(['3', '2.5', '0.33', '0.3'])
    expect([percent(0.625), percent(0.145), percent(1 / 3), percent(1)]).toEqual(['63 %', '15 %', '33 %', '100 %'])
  })
  it('is cut after a word’s end with a sign that there is more', () => {
    expect([begun('red can – to port', 60), begun('red can – to port, green cone', 19)]).toEqual([
      'red can – to port',
      'red can – to port…',
    ])
  })
  it('have their noun in the right number', () => {
    expect([plural(1, 'mark'), plural(0, 'mark'), plural(2, 'class', 'classes')]).toEqual([
      '1 mark',
      '0 marks',
      '2 classes',
    ])
  })
})

describe('marks in words', () => {
  it('are one mark or several, as a decimal where it ends soon, and a span where the ways differ', () => {
    expect(['1', '2/2', '1/2', '3'].map(inMarks)).toEqual(['1 mark', '1 mark', '0.5 marks', '3 marks'])
    expect(spanInMarks('4', '6')).toBe('4 to 6 marks')
    expect(spanInMarks('1', '1')).toBe('1 mark')
  })
})

describe('moments', () => {
  const now = new Date(2026, 10, 24, 15, 0)
  it('are a time today, a day this year, and carry the year beyond', () => {
    expect(moment(new Date(2026, 10, 24, 9, 5).toISOString(), now)).toBe('09:05')
    expect(moment(new Date(2026, 8, 26, 9, 5).toISOString(), now)).toContain('26 Sep')
    expect(moment(new Date(2025, 9, 3, 9, 5).toISOString(), now)).toBe('3 Oct 2025')
  })
})

describe('rich text as plain words', () => {
  it('keeps words of neighbouring blocks apart and runs nothing', () => {
    expect(plain('<p>High water</p><p>at <b>Kelpwick</b></p>')).toBe('High water at Kelpwick')
    expect(plain('a &lt; b')).toBe('a < b')
    expect(plain('')).toBe('')
  })
})
