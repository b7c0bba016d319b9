import { useLayoutEffect, useRef, useState, type ReactNode, type Ref } from 'react'
import { curve, isDrawable, lines, shown, worth, type Axis, type Grid } from './grid'
import type { Drawn } from './values'

/** Of the drawing, in pixels: it is as wide as there is room, so that its figures are of one size on every screen. */
const SIZE = { left: 54, right: 18, top: 18, bottom: 48, widest: 640, tall: 0.72 }
const LINE_HIGH = 130
const INK = '#1D2B33'
const RUST = '#A8431F'

export type View = {
  x: (n: number) => number
  y: (n: number) => number
  backX: (px: number) => number
  backY: (px: number) => number
  wide: number
  high: number
}

/** How a grid lies on the drawing, there and back. */
export function viewOf(grid: Grid, wide: number): View {
  const high = grid.up ? Math.round(wide * SIZE.tall) : LINE_HIGH
  const across = scale(grid.across, SIZE.left, wide - SIZE.right)
  const up = grid.up ? scale(grid.up, high - SIZE.bottom, SIZE.top) : { there: () => 60, back: () => 0 }
  return { x: across.there, y: up.there, backX: across.back, backY: up.back, wide, high }
}

/** How wide there is room for a grid: measured, and again when that changes. */
export function useWide() {
  const room = useRef<HTMLDivElement>(null)
  const [wide, setWide] = useState(SIZE.widest)
  useLayoutEffect(() => {
    if (!room.current) return
    const measure = () => {
      const now = room.current?.clientWidth ?? 0
      if (now > 0) setWide(Math.min(SIZE.widest, Math.max(260, now)))
    }
    measure()
    if (typeof ResizeObserver === 'undefined') return
    const watch = new ResizeObserver(measure)
    watch.observe(room.current)
    return () => watch.disconnect()
  }, [])
  return [room, wide] as const
}

const scale = (axis: Axis, a: number, b: number) => {
  const [from, to] = [worth(axis.from), worth(axis.to)]
  return {
    there: (n: number) => a + ((n - from) / (to - from)) * (b - a),
    back: (px: number) => from + ((px - a) / (b - a)) * (to - from),
  }
}

/** Every how many lines a number is written, so that they stay apart. */
const every = (count: number, room: number) => Math.max(1, Math.ceil(count / room))

/** A coordinate grid or number line with what has been plotted on it, laid out in a view. */
export function Plane({
  grid,
  drawn,
  label,
  look = 'answer',
  isWrong,
  children,
  sheet,
  view,
  ...rest
}: {
  grid: Grid
  drawn: Drawn
  label: string
  /** keys are drawn in blue, answers in rust, on paper in black */
  look?: 'answer' | 'key' | 'print'
  /** of a key: what earns nothing is drawn in quiet ink */
  isWrong?: (list: keyof Drawn, at: number) => boolean
  children?: ReactNode
  sheet?: Ref<SVGSVGElement>
  view: View
} & React.SVGProps<SVGSVGElement>) {
  if (!isDrawable(grid.across) || (grid.up && !isDrawable(grid.up)))
    return <p className="text-quiet">The grid is drawn when its numbers fit together.</p>
  const colour = look === 'answer' ? RUST : look === 'key' ? '#1F5673' : '#000'
  const colourOf = (list: keyof Drawn, at: number) => (isWrong?.(list, at) ? '#55636B' : colour)
  const ends = [worth(grid.across.from), worth(grid.across.to)] as const
  return (
    <svg
      ref={sheet}
      role="img"
      aria-label={label}
      viewBox={`0 0 ${view.wide} ${view.high}`}
      width={view.wide}
      className="block h-auto max-w-full rounded border border-edge bg-white select-none"
      {...rest}
    >
      <Lines grid={grid} view={view} />
      {grid.curve && drawn.points.length > 1 ? (
        <path
          d={curve(drawn.points.map(([x, y]) => ({ x: view.x(worth(x)), y: view.y(worth(y)) })))}
          fill="none"
          stroke={colour}
          strokeWidth={2}
          opacity={0.7}
        />
      ) : null}
      {drawn.lines.map(([x1, y1, x2, y2], i) => (
        <g key={`l${i}`}>
          <Through
            a={[worth(x1), worth(y1)]}
            b={[worth(x2), worth(y2)]}
            ends={ends}
            view={view}
            grid={grid}
            colour={colourOf('lines', i)}
          />
          <circle
            cx={view.x(worth(x1))}
            cy={view.y(worth(y1))}
            r={5}
            fill="#fff"
            stroke={colourOf('lines', i)}
            strokeWidth={2.5}
          />
          <circle
            cx={view.x(worth(x2))}
            cy={view.y(worth(y2))}
            r={5}
            fill="#fff"
            stroke={colourOf('lines', i)}
            strokeWidth={2.5}
          />
        </g>
      ))}
      {drawn.intervals.map(([from, to], i) => (
        <g key={`i${i}`} stroke={colourOf('intervals', i)}>
          <line
            x1={view.x(worth(from))}
            x2={view.x(worth(to))}
            y1={view.y(0)}
            y2={view.y(0)}
            strokeWidth={7}
            opacity={0.6}
          />
          {[from, to].map((end, j) => (
            <circle key={j} cx={view.x(worth(end))} cy={view.y(0)} r={7} fill={colourOf('intervals', i)} />
          ))}
        </g>
      ))}
      {drawn.points.map(([x, y], i) => (
        <circle
          key={`p${i}`}
          cx={view.x(worth(x))}
          cy={view.y(worth(y))}
          r={7}
          fill={colourOf('points', i)}
          stroke="#fff"
          strokeWidth={2}
        />
      ))}
      {children}
    </svg>
  )
}

function Lines({ grid, view }: { grid: Grid; view: View }) {
  const across = lines(grid.across)
  const up = grid.up ? lines(grid.up) : []
  const [left, right] = [SIZE.left, view.wide - SIZE.right]
  const [top, bottom] = grid.up ? [SIZE.top, view.high - SIZE.bottom] : [52, 68]
  // The axes stand at nought where it is on the grid, else at the edge.
  const at = (axis: Axis) => Math.max(worth(axis.from), Math.min(worth(axis.to), 0))
  const foot = grid.up ? view.y(at(grid.up)) : view.y(0)
  const side = view.x(at(grid.across))
  const writeAcross = every(across.length, view.wide / 40)
  const writeUp = every(up.length, view.high / 24)
  return (
    <g fontSize={13} fill={INK} style={{ fontVariantNumeric: 'tabular-nums' }}>
      {across.map((n, i) => (
        <g key={`a${i}`}>
          <line x1={view.x(n)} x2={view.x(n)} y1={top} y2={bottom} stroke="#B9C6CE" strokeWidth={1} />
          {i % writeAcross === 0 ? (
            <text x={view.x(n)} y={(grid.up ? bottom : 68) + 16} textAnchor="middle">
              {shown(String(Math.round(n * 1000) / 1000))}
            </text>
          ) : null}
        </g>
      ))}
      {up.map((n, i) => (
        <g key={`u${i}`}>
          <line x1={left} x2={right} y1={view.y(n)} y2={view.y(n)} stroke="#B9C6CE" strokeWidth={1} />
          {i % writeUp === 0 ? (
            <text x={left - 7} y={view.y(n) + 4.5} textAnchor="end">
              {shown(String(Math.round(n * 1000) / 1000))}
            </text>
          ) : null}
        </g>
      ))}
      <line x1={left} x2={right} y1={foot} y2={foot} stroke={INK} strokeWidth={1.8} />
      {grid.up ? <line x1={side} x2={side} y1={top} y2={bottom} stroke={INK} strokeWidth={1.8} /> : null}
      <text x={(left + right) / 2} y={view.high - 10} textAnchor="middle" fontSize={14}>
        {grid.across.label}
      </text>
      {grid.up?.label ? (
        <text
          x={14}
          y={(top + bottom) / 2}
          textAnchor="middle"
          fontSize={14}
          transform={`rotate(-90 14 ${(top + bottom) / 2})`}
        >
          {grid.up.label}
        </text>
      ) : null}
    </g>
  )
}

/** A line through two points, from edge to edge. */
function Through({
  a,
  b,
  ends,
  view,
  grid,
  colour,
}: {
  a: readonly [number, number]
  b: readonly [number, number]
  ends: readonly [number, number]
  view: View
  grid: Grid
  colour: string
}) {
  const low = grid.up ? worth(grid.up.from) : 0
  const high = grid.up ? worth(grid.up.to) : 0
  const upright = a[0] === b[0]
  const slope = upright ? 0 : (b[1] - a[1]) / (b[0] - a[0])
  const yAt = (x: number) => a[1] + slope * (x - a[0])
  const clipped = (x: number) => {
    const y = yAt(x)
    if (slope === 0 || (y >= low && y <= high)) return [x, y] as const
    const edge = y < low ? low : high
    return [a[0] + (edge - a[1]) / slope, edge] as const
  }
  const [from, to] = upright
    ? ([
        [a[0], low],
        [a[0], high],
      ] as const)
    : ([clipped(ends[0]), clipped(ends[1])] as const)
  return (
    <line
      x1={view.x(from[0])}
      y1={view.y(from[1])}
      x2={view.x(to[0])}
      y2={view.y(to[1])}
      stroke={colour}
      strokeWidth={2.5}
    />
  )
}

/** A grid that is only read, as wide as there is room. */
export function Plotted(props: Omit<React.ComponentProps<typeof Plane>, 'view' | 'sheet'>) {
  const [room, wide] = useWide()
  return (
    <div ref={room}>
      <Plane {...props} view={viewOf(props.grid, wide)} />
    </div>
  )
}
