import type { ReactNode } from 'react'
import type { Schemas } from '@/lib/api/client'

type Anchor = Schemas['Anchor']

/** A question that looks at a part of a source, as the source shows it. */
export type Look = {
  entry: string
  number: number
  /** it is the one in front of the reader */
  current: boolean
  at: Anchor
  /** what it is answered with where it looks, on a page */
  answer?: ReactNode
  /** it can be answered there: how its mark is called, whether it has been, and what pressing the mark does */
  mark?: { said: string; given: boolean; onPress: () => void }
}

export const linesOf = ({ from, to }: Anchor): readonly [number, number] | null =>
  from === undefined ? null : [from, to ?? from]
/** Thousandths of a picture's width and height. */
export const placeOf = ({ x, y }: Anchor): readonly [number, number] | null =>
  x === undefined || y === undefined ? null : [x, y]

/** First and last second of what is played. */
export const stretchOf = ({ moment = 0, until }: Anchor): readonly [number, number] => [moment, until ?? moment]

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
