import { describe, expect, it } from 'vitest'
import { rational } from '@/lib/format'
import { type Answer, done, nextWaiting, pointsOf } from './order'

const waits = { verdict: 'by hand', byHand: false } as Answer
const marked = { verdict: 'part', byHand: true } as Answer
const byMachine = { verdict: 'right', byHand: false } as Answer

describe('the order of marking', () => {
  it('knows what is done, by a hand or by the machine', () => {
    expect([done(waits), done(marked), done(byMachine)]).toEqual([false, true, true])
  })
  it('goes on to the next that waits, in the order shown, round once', () => {
    const answers = [waits, marked, waits, waits]
    expect(nextWaiting([3, 1, 0, 2], answers, 3)).toBe(0)
    expect(nextWaiting([3, 1, 0, 2], answers, 2)).toBe(3)
  })
  it('stays where nothing else waits', () => {
    expect(nextWaiting([0, 1], [waits, marked], 0)).toBeNull()
    expect(nextWaiting([], [], 0)).toBeNull()
  })
})

describe('points of a rubric', () => {
  const criteria = [
    { levels: [{ points: '0' }, { points: '1/2' }, { points: '2' }] },
    { levels: [{ points: '0' }, { points: '1' }] },
  ] as Parameters<typeof pointsOf>[0]

  it('add up once each criterion has its level', () => {
    expect(pointsOf(criteria, [1, 1], rational)).toEqual({ reached: 1.5, possible: 3 })
    expect(pointsOf(criteria, [0, 0], rational)).toEqual({ reached: 0, possible: 3 })
  })
  it('are not known while one is open', () => {
    expect(pointsOf(criteria, [2, null], rational)).toEqual({ reached: null, possible: 3 })
    expect(pointsOf(criteria, [2, 9], rational).reached).toBeNull()
  })
})
