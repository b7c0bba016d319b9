import { describe, expect, it } from 'vitest'
import { lengthOf, read, thinned, touched, written, type Point, type Stroke } from './ink'

const at = (x: number, y: number, t = 0): Point => ({ x, y, t })
const stroke = (tool: Stroke['tool'], points: Point[], text?: string): Stroke => ({
  tool,
  colour: 0,
  width: tool === 'words' ? 30 : 4,
  at: 0,
  points: written(points),
  ...(text ? { text } : {}),
})

describe('A stroke', () => {
  it('is written as differences of whole numbers and read back', () => {
    const points = [at(100.4, 200, 0), at(103, 197.6, 16), at(103, 198, 33)]
    expect(written(points)).toBe('100 200 0 3 -2 16 0 0 17')
    expect(read(written(points))).toEqual([at(100, 200, 0), at(103, 198, 16), at(103, 198, 33)])
    expect(lengthOf(stroke('pen', points))).toBe(3)
  })

  it('never goes back in time, whatever the clock does', () => {
    expect(read(written([at(0, 0, 50), at(1, 1, 20)])).map((p) => p.t)).toEqual([50, 50])
  })

  it('is thinned to what can be told apart: a straight way to its ends, a bend kept', () => {
    const straight = Array.from({ length: 200 }, (_, i) => at(i, i * 0.5, i))
    expect(thinned(straight, 0.5)).toEqual([straight[0], straight.at(-1)])
    const bend = [at(0, 0), at(50, 0), at(100, 0), at(100, 50), at(100, 100)]
    expect(thinned(bend, 0.5)).toEqual([at(0, 0), at(100, 0), at(100, 100)])
    const wave = Array.from({ length: 500 }, (_, i) => at(i, 40 * Math.sin(i / 30), i))
    const few = thinned(wave, 0.7)
    expect(few.length).toBeLessThan(80)
    // No point that was left out lies further off than was allowed.
    for (const p of wave) {
      const i = few.findIndex((q) => q.x >= p.x)
      const [a, b] = [few[Math.max(0, i - 1)]!, few[i]!]
      const y = b.x === a.x ? b.y : a.y + ((b.y - a.y) * (p.x - a.x)) / (b.x - a.x)
      expect(Math.abs(p.y - y)).toBeLessThan(1.5)
    }
  })
})

describe('The rubber', () => {
  const pen = stroke('pen', [at(0, 0), at(100, 0)])
  const ring = stroke('ring', [at(200, 200), at(300, 260)])
  const words = stroke('words', [at(400, 400)], 'ebb')
  const all = [pen, ring, words]

  it('takes the line it touches, not the space beside it', () => {
    expect(touched(all, { x: 50, y: 8 }, 10)).toBe(0)
    expect(touched(all, { x: 50, y: 20 }, 10)).toBe(-1)
    expect(touched(all, { x: 120, y: 0 }, 10)).toBe(-1)
  })
  it('takes a ring at its line, not in its middle', () => {
    expect(touched(all, { x: 200, y: 230 }, 6)).toBe(1)
    expect(touched(all, { x: 250, y: 230 }, 6)).toBe(-1)
  })
  it('takes words where they stand', () => {
    expect(touched(all, { x: 420, y: 390 }, 4)).toBe(2)
    expect(touched(all, { x: 520, y: 390 }, 4)).toBe(-1)
  })
  it('takes what lies on top', () => expect(touched([pen, pen], { x: 10, y: 0 }, 5)).toBe(1))
})
