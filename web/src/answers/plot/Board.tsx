import { useId, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { say } from '@/lib/say'
import { Pick } from '@/ui/Pick'
import { isDrawable, middle, shown, snapped, stepped, worth, type Grid } from './grid'
import { Plane, useWide, viewOf } from './Plane'
import type { Drawn } from './values'

export type Tool = 'point' | 'line' | 'interval'
const NAMES: Record<Tool, string> = { point: 'Point', line: 'Line', interval: 'Stretch' }
const HOW: Record<Tool, string> = {
  point: 'Press where the point stands.',
  line: 'Press two points that the line goes through.',
  interval: 'Press where the stretch begins, then where it ends.',
}

/**
 * A grid to plot on: marks snap to it. Pressed or dragged; by the keyboard a cursor goes from snap to snap and Enter sets
 * a mark at it.
 */
export function Board({
  grid,
  drawn,
  tools,
  label,
  disabled = false,
  onDrawn,
  look,
  isWrong,
}: {
  grid: Grid
  drawn: Drawn
  tools: readonly Tool[]
  label: string
  disabled?: boolean
  onDrawn: (drawn: Drawn) => void
  look?: 'answer' | 'key'
  isWrong?: (list: keyof Drawn, at: number) => boolean
}) {
  const help = useId()
  const sheet = useRef<SVGSVGElement>(null)
  const [picked, setPicked] = useState<Tool | null>(null)
  const [first, setFirst] = useState<[string, string] | null>(null)
  const [cursor, setCursor] = useState<[string, string] | null>(null)
  const [room, wide] = useWide()
  const view = viewOf(grid, wide)
  const held = useRef<{ list: 'points' | 'lines' | 'intervals'; at: number; end: 0 | 1 } | null>(null)
  if (!isDrawable(grid.across) || (grid.up && !isDrawable(grid.up)))
    return <Plane grid={grid} drawn={drawn} label={label} view={view} />
  const tool = picked && tools.includes(picked) ? picked : (tools[0] ?? 'point')
  const snap = (x: number, y: number): [string, string] => [
    snapped(grid.across, x),
    grid.up ? snapped(grid.up, y) : '0',
  ]
  const place = (e: PointerEvent): [string, string] => {
    const box = sheet.current!.getBoundingClientRect()
    const px = ((e.clientX - box.left) * view.wide) / box.width
    const py = ((e.clientY - box.top) * view.high) / box.height
    return snap(view.backX(px), view.backY(py))
  }
  const named = ([x, y]: readonly string[]) => (grid.up ? `${shown(x!)}, ${shown(y!)}` : shown(x!))
  const set = (at: [string, string]) => {
    if (tool === 'point') {
      if (drawn.points.some(([x, y]) => x === at[0] && y === at[1])) return
      onDrawn({ ...drawn, points: [...drawn.points, at] })
      say(`Point at ${named(at)}.`)
      return
    }
    if (first === null) {
      setFirst(at)
      say(`From ${named(at)}. Now the other end.`)
      return
    }
    if (first[0] === at[0] && first[1] === at[1]) return
    setFirst(null)
    if (tool === 'line') {
      onDrawn({ ...drawn, lines: [...drawn.lines, [...first, ...at]] })
      say(`Line through ${named(first)} and ${named(at)}.`)
    } else {
      const [from, to] = worth(first[0]) < worth(at[0]) ? [first[0], at[0]] : [at[0], first[0]]
      onDrawn({ ...drawn, intervals: [...drawn.intervals, [from, to]] })
      say(`From ${shown(from)} to ${shown(to)}.`)
    }
  }
  /** The mark or end of a mark that stands at a place. */
  const standing = (at: [string, string]): typeof held.current => {
    const same = (x?: string, y?: string) => worth(x) === worth(at[0]) && worth(y) === worth(at[1])
    const point = drawn.points.findIndex(([x, y]) => same(x, y))
    if (point >= 0) return { list: 'points', at: point, end: 0 }
    for (const [i, [x1, y1, x2, y2]] of drawn.lines.entries()) {
      if (same(x1, y1)) return { list: 'lines', at: i, end: 0 }
      if (same(x2, y2)) return { list: 'lines', at: i, end: 1 }
    }
    for (const [i, [from, to]] of drawn.intervals.entries()) {
      if (worth(from) === worth(at[0])) return { list: 'intervals', at: i, end: 0 }
      if (worth(to) === worth(at[0])) return { list: 'intervals', at: i, end: 1 }
    }
    return null
  }
  const moveHeld = (to: [string, string]) => {
    const h = held.current
    if (!h) return
    const mark = [...drawn[h.list][h.at]!]
    if (h.list === 'intervals') mark[h.end] = to[0]
    else mark.splice(h.end * 2, 2, ...to)
    // Both ends at one place would be no line.
    const flat =
      h.list === 'intervals' ? mark[0] === mark[1] : h.list === 'lines' && mark[0] === mark[2] && mark[1] === mark[3]
    if (!flat) onDrawn({ ...drawn, [h.list]: drawn[h.list].map((m, i) => (i === h.at ? mark : m)) })
  }
  const down = (e: PointerEvent<SVGSVGElement>) => {
    if (disabled || e.button !== 0) return
    const at = place(e)
    held.current = first ? null : standing(at)
    if (held.current) sheet.current?.setPointerCapture(e.pointerId)
    else set(at)
  }
  const key = (e: KeyboardEvent) => {
    if (disabled) return
    const at = cursor ?? [middle(grid.across), grid.up ? middle(grid.up) : '0']
    const step = e.shiftKey ? 5 : 1
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[e.key]
    if (by) {
      e.preventDefault()
      const next: [string, string] = [
        stepped(grid.across, at[0], by[0]!),
        grid.up ? stepped(grid.up, at[1], by[1]!) : '0',
      ]
      setCursor(next)
      say(named(next))
    } else if (e.key === 'Enter' || e.key === ' ') {
      e.preventDefault()
      setCursor(at)
      set(at)
    } else if (e.key === 'Delete' || e.key === 'Backspace') {
      const mark = standing(at)
      if (!mark) return
      e.preventDefault()
      onDrawn({ ...drawn, [mark.list]: drawn[mark.list].filter((_, i) => i !== mark.at) })
      say('Taken away.')
    } else if (e.key === 'Escape' && first) {
      setFirst(null)
      say('Left out.')
    }
  }
  return (
    <div ref={room} className="flex flex-col gap-2">
      {disabled ? null : (
        <div className="flex flex-wrap items-baseline gap-x-5">
          {tools.length > 1 ? (
            <Pick
              label="What is plotted next"
              options={tools.map((value) => ({ value, label: NAMES[value] }))}
              value={tool}
              onChange={(next) => (setPicked(next), setFirst(null))}
            />
          ) : null}
          <span className="text-[0.85em] text-quiet">
            {first ? `From ${named(first)}: now the other end.` : HOW[tool]}
          </span>
        </div>
      )}
      <Plane
        sheet={sheet}
        view={view}
        look={look}
        isWrong={isWrong}
        grid={grid}
        drawn={drawn}
        label={label}
        role={disabled ? 'img' : 'application'}
        aria-describedby={disabled ? undefined : help}
        tabIndex={disabled ? undefined : 0}
        style={{ cursor: disabled ? undefined : 'crosshair', touchAction: disabled ? undefined : 'none' }}
        onPointerDown={down}
        onPointerMove={(e) => held.current && moveHeld(place(e))}
        onPointerUp={() => (held.current = null)}
        onPointerCancel={() => (held.current = null)}
        onKeyDown={key}
        onBlur={() => setCursor(null)}
      >
        {first ? (
          <circle
            cx={view.x(worth(first[0]))}
            cy={view.y(worth(first[1]))}
            r={7}
            fill="none"
            stroke="#A8431F"
            strokeWidth={3}
          />
        ) : null}
        {cursor ? (
          <path
            d={`M${view.x(worth(cursor[0])) - 14} ${view.y(worth(cursor[1]))}h28m-14 -14v28`}
            stroke="#A8431F"
            strokeWidth={2}
            pointerEvents="none"
          />
        ) : null}
      </Plane>
      {disabled ? null : (
        <p id={help} className="sr-only">
          Arrow keys move a cursor from one place to the next, with Shift five; Enter sets a mark at it; Delete takes
          away the one that stands there; Escape leaves the first end out.
        </p>
      )}
    </div>
  )
}
