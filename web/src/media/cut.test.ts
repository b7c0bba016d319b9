import { expect, it } from 'vitest'
import { isWhole, measured, WHOLE } from './cut'

it('a photo turned by a quarter is as wide as it was high, and is cut as it is seen', () => {
  const cut = { ...WHOLE, turns: 1 as const, left: 50, bottom: 25 }
  expect(measured(400, 300, cut)).toEqual({
    width: 300,
    height: 400,
    kept: { x: 150, y: 0, width: 150, height: 100 },
    scale: 1,
  })
})

it('a large one is drawn smaller, a small one as it is, and one that is not touched stays itself', () => {
  expect(measured(4800, 1200, WHOLE).scale).toBe(0.5)
  expect(measured(640, 480, WHOLE).scale).toBe(1)
  expect(isWhole(WHOLE)).toBe(true)
  expect(isWhole({ ...WHOLE, right: 99 })).toBe(false)
})
