import getStroke from 'perfect-freehand'
import type { Schemas } from '@/lib/api/client'

export type Stroke = Schemas['Stroke']
/** x and y in thousandths of the ground's width, t in milliseconds since the stroke began. */
export type Point = { x: number; y: number; t: number }

/** Width of every ground in its own units. */
export const WIDE = 1000
export const COLOURS = ['#1D2B33', '#1F5673', '#A8431F'] as const
/** What the server takes of one drawing (docs/formats/question.md). */
export const MOST_POINTS = 30_000
export const MOST_STROKES = 3000

/** Points as whole numbers, each as the difference from the one before. */
export function written(points: readonly Point[]): string {
  const numbers: number[] = []
  let last = { x: 0, y: 0, t: 0 }
  for (const point of points) {
    const here = { x: Math.round(point.x), y: Math.round(point.y), t: Math.max(last.t, Math.round(point.t)) }
    numbers.push(here.x - last.x, here.y - last.y, here.t - last.t)
    last = here
  }
  return numbers.join(' ')
}

export function read(points: string): Point[] {
  const numbers = points.split(' ').map(Number)
  const all: Point[] = []
  let last = { x: 0, y: 0, t: 0 }
  for (let i = 0; i + 2 < numbers.length; i += 3) {
    last = { x: last.x + (numbers[i] ?? 0), y: last.y + (numbers[i + 1] ?? 0), t: last.t + (numbers[i + 2] ?? 0) }
    all.push(last)
  }
  return all
}

export const lengthOf = (stroke: Stroke) => stroke.points.split(' ').length / 3

/** Fewer points that lie no further off than so much (Ramer 1972, Douglas and Peucker 1973); their times stay. */
export function thinned(points: readonly Point[], off: number): Point[] {
  const first = points[0]
  const last = points.at(-1)
  if (points.length < 3 || !first || !last) return [...points]
  const keep = new Set([0, points.length - 1])
  const open: [number, number][] = [[0, points.length - 1]]
  for (let part = open.pop(); part; part = open.pop()) {
    const [from, to] = part
    let far = off
    let at = -1
    for (let i = from + 1; i < to; i++) {
      const away = distance(points[i]!, points[from]!, points[to]!)
      if (away > far) [far, at] = [away, i]
    }
    if (at < 0) continue
    keep.add(at)
    open.push([from, at], [at, to])
  }
  return points.filter((_, i) => keep.has(i))
}

/** From a point to the stretch between two others. */
function distance(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const length = dx * dx + dy * dy
  const along = length === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / length))
  return Math.hypot(p.x - a.x - along * dx, p.y - a.y - along * dy)
}

/** The outline of a pen's stroke, as a path to be filled. */
export function penPath(points: readonly Point[], width: number): string {
  const outline = getStroke(
    points.map((p) => [p.x, p.y]),
    { size: width, thinning: 0, smoothing: 0.6, streamline: 0.3, simulatePressure: false },
  )
  const [first, ...rest] = outline
  if (!first) return ''
  return `M${near(first[0])} ${near(first[1])}${rest.map(([x, y]) => `L${near(x)} ${near(y)}`).join('')}Z`
}
const near = (n: number | undefined) => Math.round((n ?? 0) * 10) / 10

/** The number of a stroke that is touched at a place, the topmost first; −1 where there is none. */
export function touched(strokes: readonly Stroke[], at: { x: number; y: number }, reach: number): number {
  for (let i = strokes.length - 1; i >= 0; i--) {
    const stroke = strokes[i]!
    const points = read(stroke.points)
    const p = { ...at, t: 0 }
    const hit =
      stroke.tool === 'ring'
        ? onRing(points, at, reach)
        : stroke.tool === 'words'
          ? inWords(stroke, points[0], at, reach)
          : points.some((a, j) => distance(p, a, points[j + 1] ?? a) <= reach + stroke.width / 2)
    if (hit) return i
  }
  return -1
}

const onRing = ([a, b]: Point[], at: { x: number; y: number }, reach: number) => {
  if (!a || !b) return false
  const [rx, ry] = [Math.max(1, Math.abs(b.x - a.x) / 2), Math.max(1, Math.abs(b.y - a.y) / 2)]
  const far = Math.hypot((at.x - (a.x + b.x) / 2) / rx, (at.y - (a.y + b.y) / 2) / ry)
  return Math.abs(far - 1) * Math.min(rx, ry) <= reach
}

const inWords = (stroke: Stroke, start: Point | undefined, at: { x: number; y: number }, reach: number) =>
  start !== undefined &&
  at.x >= start.x - reach &&
  at.x <= start.x + (stroke.text?.length ?? 0) * stroke.width * 0.55 + reach &&
  at.y >= start.y - stroke.width - reach &&
  at.y <= start.y + reach
