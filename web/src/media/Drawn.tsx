import type { Schemas } from '@/lib/api/client'
import { Ground, heightOf, type GroundKind } from './Ground'
import { WIDE, type Stroke } from './ink'
import { Strokes } from './Strokes'

/** A drawing to be looked at. */
export function Drawn({
  ground,
  picture,
  strokes,
  label,
}: {
  ground: GroundKind
  picture: Schemas['Picture'] | null
  strokes: readonly Stroke[]
  label: string
}) {
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${WIDE} ${heightOf(ground, picture)}`}
      className="w-full max-w-3xl rounded border bg-white"
    >
      <Ground ground={ground} picture={picture} />
      <Strokes strokes={strokes} />
    </svg>
  )
}

/** A drawing in words, for who cannot see it. */
export function drawingInWords(strokes: readonly Stroke[]): string {
  const words = strokes.flatMap((s) => (s.text?.trim() ? [`“${s.text.trim()}”`] : []))
  const lines = strokes.length - words.length
  const drawn = `${lines} ${lines === 1 ? 'stroke' : 'strokes'}`
  return words.length > 0 ? `A drawing of ${drawn}, with the words ${words.join(', ')}` : `A drawing of ${drawn}`
}
