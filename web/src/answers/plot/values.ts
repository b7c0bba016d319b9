import type { Value } from '../kinds'
import { pointsOf } from '../parts/values'

export type Drawn = { points: string[][]; lines: string[][]; intervals: string[][] }

/** What stands on the grid. */
export const drawnOf = (value: Value | null): Drawn => ({
  points: pointsOf(value),
  lines: value && 'lines' in value ? (value.lines ?? []) : [],
  intervals: value && 'intervals' in value ? (value.intervals ?? []) : [],
})

export const valueOf = (drawn: Drawn): Value =>
  drawn.points.length + drawn.lines.length + drawn.intervals.length === 0
    ? { text: '' }
    : (Object.fromEntries(Object.entries(drawn).filter(([, some]) => some.length > 0)) as Value)
