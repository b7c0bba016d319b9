import { describe, expect, it } from 'vitest'
import { GIVEN_PLANS } from './conditions'
import { isSame, isSilent, isTold, MOMENTS, THINGS, toldFrom, type Moment } from './telling'

const plan = (id: (typeof GIVEN_PLANS)[number]['id']) => GIVEN_PLANS.find((p) => p.id === id)!.tells
const toldAt = (tells: Parameters<typeof isTold>[0], at: Moment) =>
  THINGS.filter(({ id }) => isTold(tells, id, at)).map(({ id }) => id)

describe('What students are told', () => {
  it('never has a key out before its moment', () => {
    const key = (id: Parameters<typeof plan>[0]) =>
      MOMENTS.filter((m) => isTold(plan(id), 'key', m.id)).map((m) => m.id)
    expect(key('on return')).toEqual(['returned'])
    expect(key('at once')).toEqual(['returned'])
    expect(key('feedback first')).toEqual(['returned'])
    expect(key('after hand-in')).toEqual(['handed in', 'closed', 'returned'])
    expect(key('nothing')).toEqual([])
  })

  it('keeps told what was told', () => {
    expect(toldAt(plan('at once'), 'at once')).toEqual(['verdict', 'feedback'])
    expect(toldAt(plan('at once'), 'closed')).toEqual(['verdict', 'feedback'])
    expect(toldAt(plan('at once'), 'returned')).toEqual(['verdict', 'feedback', 'marks', 'key', 'workedAnswer'])
    expect(toldAt(plan('feedback first'), 'closed')).toEqual(['verdict', 'feedback', 'marks'])
    expect(isSilent(plan('nothing'))).toBe(true)
    expect(isSilent(plan('on return'))).toBe(false)
  })

  it('moves one thing along the rail and leaves the others', () => {
    const moved = toldFrom(plan('on return'), 'marks', 1)
    expect(moved).toEqual({ ...plan('on return'), marks: 'handed in' })
    expect(isSame(moved, plan('on return'))).toBe(false)
    expect(toldFrom(moved, 'marks', 9).marks).toBe('never')
    expect(toldFrom(moved, 'classPicture', 0).classPicture).toBe('closed')
  })
})
