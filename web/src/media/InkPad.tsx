import { Circle, Eraser, Pencil, Redo2, Slash, Trash2, Type, Undo2 } from 'lucide-react'
import { useId, useRef, useState, type PointerEvent, type KeyboardEvent } from 'react'
import { ToggleGroup } from 'radix-ui'
import type { Schemas } from '@/lib/api/client'
import { say } from '@/lib/say'
import { Button } from '@/ui/Button'
import { Ground, heightOf, type GroundKind } from './Ground'
import {
  COLOURS,
  lengthOf,
  MOST_POINTS,
  MOST_STROKES,
  penPath,
  thinned,
  touched,
  WIDE,
  written,
  type Point,
  type Stroke,
} from './ink'
import { Strokes } from './Strokes'

type Tool = Stroke['tool'] | 'rub'
const TOOLS: { tool: Tool; name: string; Icon: typeof Pencil }[] = [
  { tool: 'pen', name: 'Pen', Icon: Pencil },
  { tool: 'line', name: 'Line', Icon: Slash },
  { tool: 'ring', name: 'Ring', Icon: Circle },
  { tool: 'words', name: 'Words', Icon: Type },
  { tool: 'rub', name: 'Rub out', Icon: Eraser },
]
const COLOUR_NAMES = ['Ink', 'Blue', 'Rust']
const WIDTHS = [3, 6, 12]
const WIDTH_NAMES = ['Thin', 'Medium', 'Thick']
/** Of words, in units of the ground. */
const LETTERS = 32
/** How near the rubber comes, and how far points may be moved when they are thinned. */
const REACH = 10
const OFF = 0.7

/**
 * A sheet to draw on, by pen, finger or mouse; with the keyboard a cursor draws. The stroke that grows is drawn past React,
 * so that ink follows the pen.
 */
export function InkPad({
  label,
  ground,
  picture,
  strokes,
  onChange,
  disabled = false,
}: {
  label: string
  ground: GroundKind
  picture: Schemas['Picture'] | null
  strokes: Stroke[]
  onChange: (strokes: Stroke[]) => void
  disabled?: boolean
}) {
  const [tool, setTool] = useState<Tool>('pen')
  const [colour, setColour] = useState(0)
  const [width, setWidth] = useState(0)
  const [writing, setWriting] = useState<{ x: number; y: number } | null>(null)
  const [cursor, setCursor] = useState<{ x: number; y: number } | null>(null)
  const [gone, setGone] = useState<Stroke[][]>([])
  const [past, setPast] = useState<Stroke[][]>([])
  const [full, setFull] = useState(false)
  const sheet = useRef<SVGSVGElement>(null)
  const growing = useRef<SVGPathElement>(null)
  const line = useRef<{ points: Point[]; since: number; pointer: number } | null>(null)
  const frame = useRef(0)
  const opened = useRef<number | null>(null)
  const help = useId()
  const high = heightOf(ground, picture)

  const change = (next: Stroke[]) => {
    setPast((old) => [...old.slice(-99), strokes])
    setGone([])
    setFull(false)
    onChange(next)
  }
  const back = () => {
    const before = past.at(-1)
    if (!before) return
    setPast(past.slice(0, -1))
    setGone([...gone, strokes])
    onChange(before)
    say('Taken back.')
  }
  const again = () => {
    const next = gone.at(-1)
    if (!next) return
    setGone(gone.slice(0, -1))
    setPast([...past, strokes])
    onChange(next)
    say('Done again.')
  }

  const place = (e: { clientX: number; clientY: number }) => {
    const box = sheet.current!.getBoundingClientRect()
    return { x: ((e.clientX - box.left) * WIDE) / box.width, y: ((e.clientY - box.top) * high) / box.height }
  }
  const draw = () => {
    cancelAnimationFrame(frame.current)
    frame.current = requestAnimationFrame(() => {
      const points = line.current?.points ?? []
      growing.current?.setAttribute('d', pathOf(tool, points, WIDTHS[width]!))
    })
  }
  const add = (points: Point[], text = '') => {
    const shape =
      tool === 'pen' ? thinned(points, OFF) : tool === 'words' ? points.slice(0, 1) : [points[0]!, points.at(-1)!]
    const stroke: Stroke = {
      tool: tool === 'rub' ? 'pen' : tool,
      colour,
      width: tool === 'words' ? LETTERS : WIDTHS[width]!,
      at: Math.max(0, Math.round(line.current?.since ?? Date.now() - (opened.current ?? Date.now()))),
      points: written(shape),
      ...(text ? { text } : {}),
    }
    if (
      strokes.length >= MOST_STROKES ||
      strokes.reduce((sum, s) => sum + lengthOf(s), lengthOf(stroke)) > MOST_POINTS
    ) {
      setFull(true)
      return
    }
    change([...strokes, stroke])
  }
  const begin = (at: { x: number; y: number }, pointer: number) => {
    opened.current ??= Date.now()
    line.current = { points: [{ ...at, t: 0 }], since: Date.now() - opened.current, pointer }
  }
  const rub = (at: { x: number; y: number }) => {
    const hit = touched(strokes, at, REACH)
    if (hit >= 0) change(strokes.filter((_, i) => i !== hit))
  }
  const end = () => {
    cancelAnimationFrame(frame.current)
    growing.current?.setAttribute('d', '')
    const points = line.current?.points ?? []
    const [first, last] = [points[0], points.at(-1)]
    // A line or ring without length was a slip of the finger.
    const slip = !first || !last || (tool !== 'pen' && Math.hypot(last.x - first.x, last.y - first.y) < 4)
    if (!slip && tool !== 'rub') add(points)
    line.current = null
  }

  const down = (e: PointerEvent<SVGSVGElement>) => {
    if (disabled || e.button !== 0 || line.current) return
    const at = place(e)
    if (tool === 'words') {
      e.preventDefault()
      setWriting(at)
      return
    }
    sheet.current?.setPointerCapture(e.pointerId)
    begin(at, e.pointerId)
    if (tool === 'rub') rub(at)
    else draw()
  }
  const move = (e: PointerEvent<SVGSVGElement>) => {
    const now = line.current
    if (!now || now.pointer !== e.pointerId) return
    if (tool === 'rub') {
      rub(place(e))
      return
    }
    const began = (opened.current ?? 0) + now.since
    const between = e.nativeEvent.getCoalescedEvents?.() ?? []
    for (const one of between.length > 0 ? between : [e.nativeEvent])
      now.points.push({ ...place(one), t: Date.now() - began })
    draw()
  }
  const up = (e: PointerEvent<SVGSVGElement>) => line.current?.pointer === e.pointerId && end()

  /** The keyboard's twin: arrows move a cursor, Space sets the pen down and lifts it. */
  const key = (e: KeyboardEvent) => {
    if (disabled) return
    if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z') {
      e.preventDefault()
      if (e.shiftKey) again()
      else back()
      return
    }
    const step = e.shiftKey ? 50 : 10
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[e.key]
    const at = cursor ?? { x: WIDE / 2, y: Math.round(high / 2) }
    if (by) {
      e.preventDefault()
      const next = {
        x: Math.min(WIDE, Math.max(0, at.x + by[0]!)),
        y: Math.min(high, Math.max(0, at.y + by[1]!)),
      }
      setCursor(next)
      if (line.current) {
        line.current.points.push({ ...next, t: Date.now() - (opened.current ?? 0) - line.current.since })
        draw()
      }
    } else if (e.key === ' ' || e.key === 'Enter') {
      e.preventDefault()
      setCursor(at)
      if (tool === 'words') setWriting(at)
      else if (tool === 'rub') rub(at)
      else if (line.current) {
        end()
        say('Pen up.')
      } else {
        begin(at, -1)
        draw()
        say('Pen down.')
      }
    } else if (e.key === 'Escape' && line.current) {
      line.current = null
      growing.current?.setAttribute('d', '')
      say('Nothing drawn.')
    }
  }

  return (
    <div role="group" aria-label={label} className="@container flex flex-col gap-2">
      {disabled ? null : (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <Choice label="Tool" value={tool} onChange={(next) => setTool(next as Tool)}>
            {TOOLS.map(({ tool: value, name, Icon }) => (
              <Item key={value} value={value} name={name}>
                <Icon aria-hidden className="size-5" />
                <span className="hidden @xl:inline">{name}</span>
              </Item>
            ))}
          </Choice>
          <Choice label="Colour" value={String(colour)} onChange={(next) => setColour(Number(next))}>
            {COLOURS.map((c, i) => (
              <Item key={c} value={String(i)} name={COLOUR_NAMES[i]!}>
                <span className="size-5 rounded-full border border-edge" style={{ background: c }} />
              </Item>
            ))}
          </Choice>
          <Choice label="Width" value={String(width)} onChange={(next) => setWidth(Number(next))}>
            {WIDTHS.map((w, i) => (
              <Item key={w} value={String(i)} name={WIDTH_NAMES[i]!}>
                <span className="w-5 rounded-full bg-current" style={{ height: w }} />
              </Item>
            ))}
          </Choice>
          <span className="flex gap-1">
            <Button className="min-h-11" aria-label="Take back" disabled={past.length === 0} onClick={back}>
              <Undo2 aria-hidden className="size-5" />
            </Button>
            <Button className="min-h-11" aria-label="Do again" disabled={gone.length === 0} onClick={again}>
              <Redo2 aria-hidden className="size-5" />
            </Button>
            <Button
              className="min-h-11"
              aria-label="Clear the sheet"
              disabled={strokes.length === 0}
              onClick={() => (change([]), say('The sheet is clear. It can be taken back.'))}
            >
              <Trash2 aria-hidden className="size-5" />
            </Button>
          </span>
        </div>
      )}
      <div className="relative">
        <svg
          ref={sheet}
          // A drawing surface with keys of its own, explained by its description.
          role="application"
          aria-label={`${label}: sheet`}
          aria-describedby={help}
          tabIndex={disabled ? -1 : 0}
          viewBox={`0 0 ${WIDE} ${high}`}
          className="block w-full touch-none rounded border border-edge bg-white select-none"
          style={{ cursor: tool === 'rub' ? 'cell' : tool === 'words' ? 'text' : 'crosshair' }}
          onPointerDown={down}
          onPointerMove={move}
          onPointerUp={up}
          onPointerCancel={up}
          onKeyDown={key}
          onBlur={() => setCursor(null)}
        >
          <Ground ground={ground} picture={picture} />
          <Strokes strokes={strokes} />
          <path
            ref={growing}
            fill={tool === 'pen' ? COLOURS[colour] : 'none'}
            stroke={tool === 'pen' ? 'none' : COLOURS[colour]}
            strokeWidth={WIDTHS[width]}
            strokeLinecap="round"
          />
          {cursor ? (
            <path
              d={`M${cursor.x - 14} ${cursor.y}h28M${cursor.x} ${cursor.y - 14}v28`}
              stroke="#A8431F"
              strokeWidth={2}
              pointerEvents="none"
            />
          ) : null}
        </svg>
        {writing ? (
          <input
            autoFocus
            aria-label="Words on the sheet"
            maxLength={200}
            className="absolute min-w-40 border border-rust bg-white px-1 text-[1em] text-[#1D2B33]"
            style={{ left: `${(writing.x / WIDE) * 100}%`, top: `calc(${(writing.y / high) * 100}% - 1.3em)` }}
            onBlur={(e) => {
              if (e.target.value.trim()) add([{ ...writing, t: 0 }], e.target.value.trim())
              setWriting(null)
            }}
            onKeyDown={(e) => {
              if (e.key === 'Escape') e.currentTarget.value = ''
              if (e.key === 'Enter' || e.key === 'Escape') sheet.current?.focus()
            }}
          />
        ) : null}
      </div>
      <p id={help} className="sr-only">
        Arrow keys move a cursor, with Shift further; Space sets the pen down and lifts it; Escape leaves the line;
        Control Z takes back.
      </p>
      {full ? (
        <p role="alert" className="font-semibold text-bad">
          ✕ This sheet is full. Rub something out, or go on in words below.
        </p>
      ) : null}
    </div>
  )
}

function pathOf(tool: Tool, points: readonly Point[], width: number): string {
  const [a, b] = [points[0], points.at(-1)]
  if (!a || !b) return ''
  if (tool === 'pen') return penPath(points, width)
  if (tool === 'line') return `M${a.x} ${a.y}L${b.x} ${b.y}`
  const [rx, ry] = [Math.abs(b.x - a.x) / 2, Math.abs(b.y - a.y) / 2]
  return `M${Math.min(a.x, b.x)} ${(a.y + b.y) / 2}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0`
}

function Choice({
  label,
  value,
  onChange,
  children,
}: {
  label: string
  value: string
  onChange: (value: string) => void
  children: React.ReactNode
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChange(next)}
      className="flex rounded border border-edge"
    >
      {children}
    </ToggleGroup.Root>
  )
}

const Item = ({ value, name, children }: { value: string; name: string; children: React.ReactNode }) => (
  <ToggleGroup.Item
    value={value}
    aria-label={name}
    className="relative flex min-h-11 min-w-11 items-center justify-center gap-1.5 px-2.5 text-[15px] text-quiet hover:text-ink data-[state=on]:font-bold data-[state=on]:text-ink data-[state=on]:before:absolute data-[state=on]:before:inset-x-2 data-[state=on]:before:-top-1 data-[state=on]:before:h-1.5 data-[state=on]:before:bg-rung"
  >
    {children}
  </ToggleGroup.Item>
)
