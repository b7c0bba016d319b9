import type { Schemas } from '@/lib/api/client'

export type Grid = Schemas['Grid']
export type Axis = Schemas['Axis']

/** A fraction of whole numbers, so that a mark that snaps to thirds is written as thirds. */
type Fraction = readonly [number, number]

const gcd = (a: number, b: number): number => (b === 0 ? Math.abs(a) : gcd(b, a % b))
const simple = (n: number, d: number): Fraction => {
  const by = gcd(n, d) * Math.sign(d) || 1
  return [n / by, d / by]
}
function fraction(text: string): Fraction {
  const [, sign = '', whole = '0', part = '', below] = /^(-?)(\d+)(?:\.(\d+)|\/(\d+))?$/.exec(text) ?? []
  const n = Number(`${whole}${part}`)
  return simple(sign ? -n : n, below ? Number(below) : 10 ** part.length)
}
const plus = ([a, b]: Fraction, [c, d]: Fraction): Fraction => simple(a * d + c * b, b * d)
const text = ([n, d]: Fraction) => (d === 1 ? String(n) : `${n}/${d}`)
const number = ([n, d]: Fraction) => n / d

/** What a text such as 3, 0.5 or 1/3 is worth. */
export const worth = (written: string | undefined) => number(fraction(written ?? '0'))
/** For a screen: 1/2 reads 0.5, 1/3 reads 0.33. */
export const shown = (written: string) => String(Math.round(worth(written) * 100) / 100).replace('-', '−')

/** The place on an axis to which a number snaps. */
export function snapped(axis: Axis, at: number): string {
  const [from, snap] = [fraction(axis.from), fraction(axis.snap)]
  const most = Math.floor((worth(axis.to) - number(from)) / number(snap) + 1e-9)
  const steps = Math.min(most, Math.max(0, Math.round((at - number(from)) / number(snap))))
  return text(plus(from, [steps * snap[0], snap[1]]))
}

/** So many snaps further. */
export const stepped = (axis: Axis, at: string, by: number) => snapped(axis, worth(at) + by * worth(axis.snap))

export const middle = (axis: Axis) => snapped(axis, (worth(axis.from) + worth(axis.to)) / 2)

/** Where the lines of an axis stand. */
export function lines(axis: Axis): number[] {
  const [from, to, step] = [worth(axis.from), worth(axis.to), worth(axis.step)]
  if (!(step > 0) || !(to > from)) return []
  const count = Math.min(200, Math.floor((to - from) / step + 1e-9))
  return Array.from({ length: count + 1 }, (_, i) => from + i * step)
}

/** Whether an axis can be drawn at all, as it is being typed. */
export const isDrawable = (axis: Axis) => {
  const known = [axis.from, axis.to, axis.step, axis.snap].every((t) => /^-?\d+(?:\.\d+|\/[1-9]\d*)?$/.test(t))
  return known && worth(axis.to) > worth(axis.from) && worth(axis.step) > 0 && worth(axis.snap) > 0
}

/** A smooth path through points from left to right that does not overshoot (Fritsch and Carlson 1980). */
export function curve(points: readonly { x: number; y: number }[]): string {
  const all = [...points].sort((a, b) => a.x - b.x).filter((p, i, list) => i === 0 || p.x !== list[i - 1]!.x)
  if (all.length < 2) return ''
  const slopes = all.slice(1).map((p, i) => (p.y - all[i]!.y) / (p.x - all[i]!.x))
  const tangents = all.map((_, i) => {
    const [before, after] = [slopes[i - 1], slopes[i]]
    if (before === undefined) return after!
    if (after === undefined) return before
    return before * after <= 0 ? 0 : (2 * before * after) / (before + after)
  })
  let path = `M${all[0]!.x} ${all[0]!.y}`
  for (let i = 1; i < all.length; i++) {
    const [a, b] = [all[i - 1]!, all[i]!]
    const third = (b.x - a.x) / 3
    path += `C${a.x + third} ${a.y + tangents[i - 1]! * third} ${b.x - third} ${b.y - tangents[i]! * third} ${b.x} ${b.y}`
  }
  return path
}
