import { describe, expect, it } from 'vitest'
import { isTold, MOMENTS, THINGS, toldFrom } from './telling'

describe('What students are told', () => {
  it('never has a key out before its moment', () => {
    const key = (plan: Parameters<typeof toldFrom>[0]) =>
      MOMENTS.filter((m) => isTold(plan, 'the key', m.id)).map((m) => m.id)
    expect(key('on return')).toEqual(['returned'])
    expect(key('at once')).toEqual(['returned'])
    expect(key('after hand-in')).toEqual(['handed in', 'returned'])
    expect(key('nothing')).toEqual([])
  })

  it('tells right or wrong and feedback alone at once', () => {
    expect(THINGS.filter((thing) => isTold('at once', thing, 'at once'))).toEqual(['right or wrong', 'feedback'])
    expect(THINGS.filter((thing) => isTold('at once', thing, 'handed in'))).toEqual(['right or wrong', 'feedback'])
    expect(THINGS.filter((thing) => isTold('at once', thing, 'returned'))).toEqual([...THINGS])
    expect(THINGS.some((thing) => isTold('nothing', thing, 'returned'))).toBe(false)
  })
})
