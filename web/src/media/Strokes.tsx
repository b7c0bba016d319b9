import { memo } from 'react'
import { COLOURS, penPath, read, type Stroke } from './ink'

/** One stroke as it stands; drawn once, however often what is around it changes. */
const StrokeMark = memo(function StrokeMark({ stroke }: { stroke: Stroke }) {
  const points = read(stroke.points)
  const colour = COLOURS[stroke.colour] ?? COLOURS[0]
  const [a, b] = [points[0], points.at(-1)]
  if (!a || !b) return null
  if (stroke.tool === 'pen') return <path d={penPath(points, stroke.width)} fill={colour} />
  if (stroke.tool === 'line')
    return <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={colour} strokeWidth={stroke.width} strokeLinecap="round" />
  if (stroke.tool === 'ring')
    return (
      <ellipse
        cx={(a.x + b.x) / 2}
        cy={(a.y + b.y) / 2}
        rx={Math.abs(b.x - a.x) / 2}
        ry={Math.abs(b.y - a.y) / 2}
        fill="none"
        stroke={colour}
        strokeWidth={stroke.width}
      />
    )
  return (
    <text x={a.x} y={a.y} fill={colour} fontSize={stroke.width} className="font-sans">
      {stroke.text}
    </text>
  )
})

export const Strokes = ({ strokes }: { strokes: readonly Stroke[] }) => (
  <>
    {strokes.map((stroke, i) => (
      <StrokeMark key={i} stroke={stroke} />
    ))}
  </>
)
