import type { Schemas } from '@/lib/api/client'
import { clock } from './words'

type Anchor = Schemas['Anchor']

/** A question that looks at a part of a source, as the source shows it. */
export type Look = {
  entry: string
  number: number
  /** it is the one in front of the reader */
  current: boolean
  at: Anchor
}

export const linesOf = ({ from, to }: Anchor): readonly [number, number] | null =>
  from === undefined ? null : [from, to ?? from]
/** Thousandths of a picture's width and height. */
export const placeOf = ({ x, y }: Anchor): readonly [number, number] | null =>
  x === undefined || y === undefined ? null : [x, y]

/** First and last second of what is played. */
export const stretchOf = ({ moment = 0, until }: Anchor): readonly [number, number] => [moment, until ?? moment]

/** What to do to see where a question looks, in words. */
export function inWords(at: Anchor, number: number, title: string): string {
  const of = title || 'the source'
  const lines = linesOf(at)
  if (lines) return `Look at ${stretch('line', 'lines', lines, String)} of ${of}`
  if (placeOf(at)) return `Look at mark ${number} on ${at.page ? `page ${at.page} of ` : ''}${of}`
  return `Play ${stretch('from', '', stretchOf(at), clock)} of ${of}`
}

const stretch = (one: string, several: string, [from, to]: readonly [number, number], say: (n: number) => string) =>
  from === to ? `${one} ${say(from)}` : `${several} ${say(from)} to ${say(to)}`.trim()

type Size = { width: number; height: number }
type At = { x: number; y: number }

/** A place in a picture's pixels, as it is kept. */
export const inThousandths = ({ x, y }: At, { width, height }: Size): At => ({
  x: Math.round((1000 * x) / width),
  y: Math.round((1000 * y) / height),
})
export const inPixels = ({ x, y }: At, { width, height }: Size): At => ({
  x: (x * width) / 1000,
  y: (y * height) / 1000,
})
