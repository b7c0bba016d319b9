import type { Pin } from '@/media/Pins'
import type { Value } from '../kinds'
import { plainOf, pointsOf } from '../parts/values'
import type { Schemas } from '@/lib/api/client'

type Face = Extract<Schemas['Face'], { type: 'spot' }>
type At = { x: number; y: number; rx?: number; ry?: number }

const labelsOf = (value: Value | null) => (value && 'labels' in value ? value.labels : {})
const ringsOf = (value: Value | null) => (value && 'rings' in value ? value.rings : [])
const n = (text: string | undefined) => Number(text ?? 0)
const said = (at: At) => `at ${Math.round(at.x)}, ${Math.round(at.y)}`

/** The marks of an answer, as they lie on the picture. */
export function pinsOf(face: Face, value: Value | null): Pin[] {
  if (face.mode === 'labels')
    return Object.entries(labelsOf(value)).map(([id, [x, y]]) => {
      const name = plainOf(face.labels.find((l) => l.id === id)?.text ?? '?')
      const at = { x: n(x), y: n(y) }
      return { id, ...at, text: name, said: `${name}, ${said(at)}` }
    })
  if (face.mode === 'rings')
    return ringsOf(value).map(([x, y, rx, ry], i) => {
      const at = { x: n(x), y: n(y), rx: n(rx), ry: n(ry) }
      return { id: String(i), ...at, text: face.asked > 1 ? String(i + 1) : '', said: `Ring ${i + 1}, ${said(at)}` }
    })
  return pointsOf(value).map(([x, y], i) => {
    const at = { x: n(x), y: n(y) }
    return { id: String(i), ...at, text: face.asked > 1 ? String(i + 1) : '', said: `Mark ${i + 1}, ${said(at)}` }
  })
}

const text = (number: number) => String(Math.round(number * 10) / 10)

/** The answer that these marks are. */
export function valueOf(mode: Face['mode'], pins: readonly (At & { id: string })[]): Value {
  if (pins.length === 0) return { text: '' }
  if (mode === 'labels') return { labels: Object.fromEntries(pins.map((p) => [p.id, [text(p.x), text(p.y)]])) }
  return mode === 'rings'
    ? { rings: pins.map((p) => [text(p.x), text(p.y), text(p.rx ?? 0), text(p.ry ?? 0)]) }
    : { points: pins.map((p) => [text(p.x), text(p.y)]) }
}
