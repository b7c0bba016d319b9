import { Circle, Pentagon, Spline } from 'lucide-react'
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { Schemas } from '@/lib/api/client'
import { say } from '@/lib/say'
import { thinned } from '@/media/ink'
import { useMedia } from '@/media/place'
import { Button } from '@/ui/Button'
import { changed, Shapes } from './Shapes'

type Region = Schemas['Region']
type Shape = Pick<Region, 'corners' | 'ellipse'>
type Tool = 'ellipse' | 'polygon' | 'free'
type At = { x: number; y: number }

const TOOLS: { tool: Tool; name: string; Icon: typeof Circle; how: string }[] = [
  { tool: 'ellipse', name: 'Ellipse', Icon: Circle, how: 'Drag from its middle outwards.' },
  {
    tool: 'polygon',
    name: 'Corners',
    Icon: Pentagon,
    how: 'Press corner after corner; the first again, or Enter, closes it.',
  },
  { tool: 'free', name: 'Freehand', Icon: Spline, how: 'Draw round it in one go.' },
]

/** The picture on which a teacher draws regions. One that is pressed is chosen, and can be dragged. */
export function RegionSheet({
  picture,
  regions,
  chosen,
  onChoose,
  onDrawn,
  onRegion,
}: {
  picture: Schemas['Picture']
  regions: Region[]
  chosen: string | null
  onChoose: (id: string) => void
  onDrawn: (shape: Shape) => void
  onRegion: (region: Region) => void
}) {
  const { urlOf } = useMedia()
  const { width, height } = picture
  const unit = Math.max(width, height) / 100
  const [tool, setTool] = useState<Tool>('ellipse')
  const [drawing, setDrawing] = useState<At[]>([])
  const held = useRef<{ id: string; at: At } | null>(null)
  const sheet = useRef<SVGSVGElement>(null)
  const near = (n: number) => Math.round(n * 10) / 10
  const text = (n: number) => String(near(n))
  const place = (e: PointerEvent): At => {
    const box = sheet.current!.getBoundingClientRect()
    return {
      x: near(((e.clientX - box.left) * width) / box.width),
      y: near(((e.clientY - box.top) * height) / box.height),
    }
  }
  const closed = (corners: readonly At[]) => {
    setDrawing([])
    if (corners.length >= 3) onDrawn({ corners: corners.slice(0, 60).map((c) => [text(c.x), text(c.y)]) })
  }
  const down = (e: PointerEvent<SVGSVGElement>) => {
    if (e.button !== 0) return
    const at = place(e)
    const id = (e.target as Element).closest('[data-region]')?.getAttribute('data-region')
    if (id && drawing.length === 0) {
      onChoose(id)
      held.current = { id, at }
      sheet.current?.setPointerCapture(e.pointerId)
      return
    }
    if (tool === 'polygon') {
      const first = drawing[0]
      if (first && drawing.length > 2 && Math.hypot(at.x - first.x, at.y - first.y) < unit * 2) closed(drawing)
      else setDrawing([...drawing, at])
      return
    }
    sheet.current?.setPointerCapture(e.pointerId)
    setDrawing([at])
  }
  const move = (e: PointerEvent<SVGSVGElement>) => {
    const at = place(e)
    if (held.current) {
      const region = regions.find((r) => r.id === held.current?.id)
      if (region) onRegion(changed(region, { dx: at.x - held.current.at.x, dy: at.y - held.current.at.y }))
      held.current = { id: held.current.id, at }
    } else if (drawing.length > 0 && tool === 'ellipse') setDrawing([drawing[0]!, at])
    else if (drawing.length > 0 && tool === 'free') setDrawing([...drawing, at])
  }
  const up = () => {
    held.current = null
    if (tool === 'polygon' || drawing.length === 0) return
    const [from, to] = [drawing[0]!, drawing.at(-1)!]
    setDrawing([])
    if (tool === 'ellipse') {
      const [rx, ry] = [Math.abs(to.x - from.x), Math.abs(to.y - from.y)]
      if (rx > unit / 2 || ry > unit / 2)
        onDrawn({ ellipse: [text(from.x), text(from.y), text(Math.max(unit, rx)), text(Math.max(unit, ry))] })
    } else
      closed(
        thinned(
          drawing.map((p) => ({ ...p, t: 0 })),
          unit * 0.6,
        ),
      )
  }
  const key = (e: KeyboardEvent) => {
    const region = regions.find((r) => r.id === chosen)
    const step = unit * (e.shiftKey ? 5 : 1)
    const way = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[e.key]
    if (e.key === 'Enter' && drawing.length > 0) closed(drawing)
    else if (e.key === 'Escape') setDrawing([])
    else if (way && region) {
      e.preventDefault()
      onRegion(changed(region, { dx: way[0]!, dy: way[1]! }))
    } else if (/^[+=-]$/.test(e.key) && region) {
      e.preventDefault()
      onRegion(changed(region, { times: e.key === '-' ? 0.9 : 1.1 }))
    }
  }
  const how = TOOLS.find((t) => t.tool === tool)!.how
  return (
    <div className="flex flex-col gap-2">
      <div role="toolbar" aria-label="Shape of the next region" className="flex flex-wrap items-center gap-2">
        {TOOLS.map(({ tool: value, name, Icon }) => (
          <button
            key={value}
            type="button"
            aria-pressed={tool === value}
            onClick={() => (setTool(value), setDrawing([]))}
            className={`relative flex items-center gap-1.5 rounded border px-2.5 py-1 text-[15px] ${tool === value ? 'border-ink font-bold' : 'border-edge text-quiet hover:border-ink'}`}
          >
            {tool === value ? <span aria-hidden className="absolute -top-[5px] left-2 h-2 w-6 bg-rung" /> : null}
            <Icon aria-hidden className="size-4" /> {name}
          </button>
        ))}
        <Button
          size="small"
          kind="quiet"
          onClick={() => {
            onDrawn({ ellipse: [text(width / 2), text(height / 2), text(unit * 8), text(unit * 8)] })
            say('A region is in the middle. Arrow keys on the picture move it, plus and minus change its size.')
          }}
        >
          Put one in the middle
        </Button>
        <span className="text-sm text-quiet">{how}</span>
      </div>
      <svg
        ref={sheet}
        role="application"
        aria-label="The picture with its regions. Arrow keys move the one that is chosen, plus and minus change its size."
        tabIndex={0}
        viewBox={`0 0 ${width} ${height}`}
        className="block w-full touch-none rounded border border-edge bg-white select-none"
        style={{ cursor: 'crosshair' }}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onKeyDown={key}
      >
        <image href={urlOf(picture.file)} width={width} height={height} />
        <Shapes regions={regions} unit={unit} chosen={chosen ?? undefined} />
        {drawing.length > 0 ? (
          tool === 'ellipse' ? (
            <ellipse
              cx={drawing[0]!.x}
              cy={drawing[0]!.y}
              rx={Math.abs(drawing.at(-1)!.x - drawing[0]!.x)}
              ry={Math.abs(drawing.at(-1)!.y - drawing[0]!.y)}
              fill="none"
              stroke="#A8431F"
              strokeWidth={unit * 0.45}
            />
          ) : (
            <>
              <polyline
                points={drawing.map((p) => `${p.x},${p.y}`).join(' ')}
                fill="none"
                stroke="#A8431F"
                strokeWidth={unit * 0.45}
              />
              {tool === 'polygon'
                ? drawing.map((p, i) => <circle key={i} cx={p.x} cy={p.y} r={unit * 0.8} fill="#A8431F" />)
                : null}
            </>
          )
        ) : null}
      </svg>
    </div>
  )
}
