import { describe, expect, it } from 'vitest'
import { fromLocal, readMoment, toLocal, writeMoment } from './locale'

// A Thursday.
const now = new Date('2026-11-26T10:00')
const read = (text: string) => readMoment(text, now)

describe('A moment as it is typed', () => {
  it('has the day before the month, in words or figures', () => {
    for (const text of [
      '27 Nov 15:30',
      '27 november, 15:30',
      'Fri 27 Nov 2026, 15:30',
      '27/11 15:30',
      '27.11. 15.30',
      '27/11/26 15:30',
      '27th Nov at 15:30',
    ])
      expect([text, read(text)]).toEqual([text, '2026-11-27T15:30'])
    expect(read('03/04/2027 08:05')).toBe('2027-04-03T08:05')
    expect(read('2026-11-30T08:00')).toBe('2026-11-30T08:00')
  })

  it('is the next there is where a part is left out', () => {
    expect(read('15:30')).toBe('2026-11-26T15:30')
    expect(read('9:30')).toBe('2026-11-27T09:30')
    expect(read('fri 9:00')).toBe('2026-11-27T09:00')
    expect(read('thursday 9:00')).toBe('2026-12-03T09:00')
    expect(read('thursday 11:00')).toBe('2026-11-26T11:00')
    expect(read('tomorrow 8:30')).toBe('2026-11-27T08:30')
    expect(read('12 Jan 8:30')).toBe('2027-01-12T08:30')
    expect(read('20 Nov 8:30')).toBe('2026-11-20T08:30')
  })

  it('is refused where it says no moment', () => {
    for (const text of [
      '27 Nov',
      '31 Nov 8:00',
      '27 Nov 25:00',
      '25:00',
      '12:75',
      '13/13 8:00',
      'soon',
      '27 Foo 8:00',
      '30/02/2027 8:00',
    ])
      expect([text, read(text)]).toEqual([text, null])
    expect(read('  ')).toBe('')
  })

  it('goes to the server and comes back to the minute', () => {
    expect(fromLocal('')).toBeNull()
    expect(fromLocal('2026-11-24T09:05')).toBe(new Date(2026, 10, 24, 9, 5).toISOString())
    expect(toLocal(new Date(2026, 10, 24, 9, 5, 30).toISOString())).toBe('2026-11-24T09:05')
    expect(toLocal(null)).toBe('')
  })

  it('is written so that it reads back as itself', () => {
    expect(writeMoment('2026-11-27T15:30')).toBe('Fri, 27 Nov 2026, 15:30')
    expect(read(writeMoment('2026-11-27T15:30'))).toBe('2026-11-27T15:30')
    expect(writeMoment('')).toBe('')
  })
})
