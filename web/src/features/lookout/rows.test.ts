import { describe, expect, it } from 'vitest'
import { codeAt, isHere, merged, silent, sorted, type Row } from './rows'

const row = (studentId: string, change: Partial<Row> = {}): Row => ({
  studentId,
  name: studentId,
  sittingId: 's',
  state: 'open',
  attempt: 1,
  revision: 3,
  at: 'e2',
  cells: { e1: { code: 'right', try: 1 } },
  route: ['e1', 'e2'],
  marks: 1,
  of: 1,
  rung: 3,
  extraMinutes: 0,
  held: false,
  dueAt: null,
  call: null,
  openedAt: null,
  stirredAt: null,
  left: 0,
  leftFor: 0,
  ...change,
})

describe('rows', () => {
  it('takes a newer row and leaves an older one', () => {
    expect(merged([row('a')], row('a', { revision: 4, marks: 2 }))[0]?.marks).toBe(2)
    expect(merged([row('a')], row('a', { revision: 2, marks: 2 }))[0]?.marks).toBe(1)
    expect(merged([row('a', { revision: 9 })], row('a', { attempt: 2, revision: 1, marks: 0 }))[0]?.marks).toBe(0)
  })
  it('shows where a student is, what was answered, and nothing beyond', () => {
    const one = row('a', { cells: { e1: { code: 'right', try: 1 }, e2: { code: 'blank', try: 1 } } })
    expect(['e1', 'e2', 'e3'].map((e) => codeAt(one, e))).toEqual(['right', 'none', 'none'])
    expect(['e1', 'e2', 'e3'].map((e) => isHere(one, e))).toEqual([false, true, false])
    expect(codeAt({ ...one, at: 'e1' }, 'e2')).toBe('blank')
    expect(isHere({ ...one, state: 'handed in' }, 'e2')).toBe(false)
  })
  it('sorts by speed and by calls, whoever has none of it at the end', () => {
    const begun = { openedAt: '2026-11-27T10:00:00.000Z' }
    const rows = [
      row('none', { ...begun, stirredAt: begun.openedAt, cells: {} }),
      row('slow', { ...begun, stirredAt: '2026-11-27T10:10:00.000Z' }),
      row('fast', { ...begun, stirredAt: '2026-11-27T10:01:00.000Z' }),
    ]
    expect(sorted(rows, 'speed').map((r) => r.studentId)).toEqual(['fast', 'slow', 'none'])
    const call = (madeAt: string) => ({ id: madeAt, kind: 'stuck', entry: 'e1', words: '', madeAt })
    const calls = [
      row('quiet'),
      row('later', { call: call('2026-11-27T10:09:00.000Z') }),
      row('first', { call: call('2026-11-27T10:02:00.000Z') }),
    ]
    expect(sorted(calls, 'calls').map((r) => r.studentId)).toEqual(['first', 'later', 'quiet'])
  })
  it('sorts by credit and progress', () => {
    const rows = [
      row('low', { marks: 0 }),
      row('high'),
      row('absent', { state: 'expected', cells: {}, of: 0, sittingId: null }),
    ]
    expect(sorted(rows, 'credit').map((r) => r.studentId)).toEqual(['high', 'low', 'absent'])
    expect(sorted(rows, 'progress').at(-1)?.studentId).toBe('absent')
    expect(rows.filter(silent).map((r) => r.studentId)).toEqual(['absent'])
  })
})
