import { useId } from 'react'
import type { Schemas } from '@/lib/api/client'
import { WIDE } from './ink'
import { useMedia } from './place'

type Picture = Schemas['Picture']
export type GroundKind = 'blank' | 'squared' | 'graph' | 'isometric' | 'picture'

export const GROUNDS: Record<GroundKind, string> = {
  blank: 'Blank',
  squared: 'Squared',
  graph: 'Graph paper',
  isometric: 'Isometric',
  picture: 'On a picture',
}

/** Of grounds without a picture, in units of {@link WIDE}. */
const HIGH = 700
export const heightOf = (ground: GroundKind, picture: Picture | null) =>
  ground === 'picture' && picture ? Math.round((WIDE * picture.height) / picture.width) : HIGH

/** What is drawn on: lies beneath the strokes and cannot be moved. */
export function Ground({ ground, picture }: { ground: GroundKind; picture: Picture | null }) {
  const id = useId()
  const { urlOf } = useMedia()
  const high = heightOf(ground, picture)
  if (ground === 'picture')
    return picture ? (
      <image href={urlOf(picture.file)} width={WIDE} height={high} />
    ) : (
      <rect width={WIDE} height={high} fill="#fff" />
    )
  const lines = PATTERNS[ground]
  return (
    <>
      <rect width={WIDE} height={high} fill="#fff" />
      {lines ? (
        <>
          <defs>
            <pattern id={id} width={lines.width} height={lines.height} patternUnits="userSpaceOnUse">
              {lines.paths.map(([d, width], i) => (
                <path key={i} d={d} fill="none" stroke="#A9BBC6" strokeWidth={width} />
              ))}
            </pattern>
          </defs>
          <rect width={WIDE} height={high} fill={`url(#${id})`} />
        </>
      ) : null}
    </>
  )
}

const fine = (step: number, of: number) =>
  Array.from({ length: of / step - 1 }, (_, i) => `M${(i + 1) * step} 0V${of}M0 ${(i + 1) * step}H${of}`).join('')

/** Triangles of side 40: their height is 40·√3⁄2. */
const TALL = 34.641
const PATTERNS: Record<GroundKind, { width: number; height: number; paths: [string, number][] } | null> = {
  blank: null,
  picture: null,
  squared: { width: 40, height: 40, paths: [['M40 0V40H0', 1]] },
  graph: {
    width: 100,
    height: 100,
    paths: [
      [fine(10, 100), 0.5],
      ['M100 0V100H0M50 0V100M0 50H100', 1.2],
    ],
  },
  isometric: {
    width: 40,
    height: 2 * TALL,
    paths: [[`M0 0H40M0 ${TALL}H40M0 0L40 ${2 * TALL}M40 0L0 ${2 * TALL}`, 1]],
  },
}
