import type { Schemas } from '@/lib/api/client'
import { shown, worth, type Grid } from './grid'
import type { Drawn } from './values'

export type Target = Schemas['PlotTarget']

/** A target as one reads it. */
export function targetInWords(t: Target, flat: boolean): string {
  const n = (text?: string) => shown(text ?? '0')
  if (t.kind === 'point') return flat ? n(t.x) : `(${n(t.x)}, ${n(t.y)})`
  if (t.kind === 'interval') return `${n(t.from)} to ${n(t.to)}`
  if (t.kind === 'upright') return `x = ${n(t.x)}`
  const b = worth(t.intercept)
  if (worth(t.slope) === 0) return `y = ${n(t.intercept)}`
  const slope = worth(t.slope)
  return `y = ${slope === 1 ? 'x' : slope === -1 ? '−x' : `${n(t.slope)} x`}${b === 0 ? '' : ` ${b < 0 ? '−' : '+'} ${shown(String(Math.abs(b)))}`}`
}

/** Targets as marks on the grid. */
export function drawnTargets(targets: readonly Target[], grid: Grid): Drawn {
  const [left, right] = [grid.across.from, grid.across.to]
  const low = grid.up?.from ?? '0'
  const high = grid.up?.to ?? '0'
  return {
    points: targets.flatMap((t) => (t.kind === 'point' ? [[t.x ?? '0', grid.up ? (t.y ?? '0') : '0']] : [])),
    lines: targets.flatMap((t) => {
      if (t.kind === 'upright') return [[t.x ?? '0', low, t.x ?? '0', high]]
      if (t.kind !== 'line') return []
      const y = (x: string) => String(worth(t.slope) * worth(x) + worth(t.intercept))
      return [[left, y(left), right, y(right)]]
    }),
    intervals: targets.flatMap((t) => (t.kind === 'interval' ? [[t.from ?? '0', t.to ?? '0']] : [])),
  }
}

const usual = { tolerance: '1/4', credit: '1', feedback: '', misconception: null }
const exact = (n: number) => String(Math.round(n * 1e6) / 1e6)

/** Targets that are what has been plotted. */
export const targetsOf = (drawn: Drawn): Target[] => [
  ...drawn.points.map(([x = '0', y = '0']): Target => ({ kind: 'point', x, y, ...usual })),
  ...drawn.lines.map(([x1, y1, x2, y2]): Target => {
    if (worth(x1) === worth(x2)) return { kind: 'upright', x: x1 ?? '0', ...usual }
    const slope = (worth(y2) - worth(y1)) / (worth(x2) - worth(x1))
    return { kind: 'line', slope: exact(slope), intercept: exact(worth(y1) - slope * worth(x1)), ...usual }
  }),
  ...drawn.intervals.map(([from = '0', to = '0']): Target => ({ kind: 'interval', from, to, ...usual })),
]

const LISTS = [
  { list: 'points', kinds: ['point'] },
  { list: 'lines', kinds: ['line', 'upright'] },
  { list: 'intervals', kinds: ['interval'] },
] as const
const indicesOf = (targets: readonly Target[], kinds: readonly string[]) =>
  targets.flatMap((t, i) => (kinds.includes(t.kind) ? [i] : []))

/** The target that a mark on the grid is. */
export const targetAt = (targets: readonly Target[], list: keyof Drawn, at: number) =>
  targets[indicesOf(targets, LISTS.find((one) => one.list === list)!.kinds)[at] ?? -1]

/** Targets after something was plotted, moved or taken away on their grid; what a line says besides its numbers stays. */
export function replotted(targets: readonly Target[], grid: Grid, drawn: Drawn): Target[] {
  const order = LISTS.flatMap(({ kinds }) => indicesOf(targets, kinds))
  const before = targetsOf(drawnTargets(targets, grid))
  const after = targetsOf(drawn)
  const flat = !grid.up
  const same = (a?: Target, b?: Target) => a && b && targetInWords(a, flat) === targetInWords(b, flat)
  if (after.length > before.length) {
    const fresh = after.find((t) => !before.some((old) => same(old, t)))
    return fresh ? [...targets, fresh] : [...targets]
  }
  const at = before.findIndex((old, i) => !same(old, after[i]))
  const index = order[at]
  if (at < 0 || index === undefined) return [...targets]
  if (after.length < before.length) return targets.filter((_, i) => i !== index)
  const { tolerance, credit, feedback, misconception, also } = targets[index]!
  return targets.map((t, i) => (i === index ? { ...after[at]!, tolerance, credit, feedback, misconception, also } : t))
}
