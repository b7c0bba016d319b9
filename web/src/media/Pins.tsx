import { useId, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react'
import type { Schemas } from '@/lib/api/client'
import { useMedia } from './place'

type Picture = Schemas['Picture']
/** A mark on a picture, in its pixels; with half-axes it is a ring. */
export type Pin = { id: string; x: number; y: number; rx?: number; ry?: number; text: string; said: string }

const RUST = '#A8431F'

/**
 * A picture that marks are set on: pressed, dragged, or by the keyboard, where arrows move a cursor and Enter sets a mark at
 * it. A mark that has the focus is moved by arrows, made larger and smaller by + and −, taken away by Delete.
 */
export function Pins({
  label,
  picture,
  page,
  pins,
  mode,
  disabled = false,
  onAdd,
  onChange,
  onRemove,
  children,
}: {
  label: string
  picture: Picture
  /** of a PDF, where the picture is one */
  page?: number
  pins: Pin[]
  /** rings are drawn from their middle outwards */
  mode: 'points' | 'rings'
  disabled?: boolean
  onAdd?: (pin: { x: number; y: number; rx?: number; ry?: number }) => void
  onChange?: (id: string, to: { x: number; y: number; rx?: number; ry?: number }) => void
  onRemove?: (id: string) => void
  /** what lies between the picture and the marks */
  children?: ReactNode
}) {
  const { urlOf } = useMedia()
  const { width, height } = picture
  const help = useId()
  const sheet = useRef<SVGSVGElement>(null)
  const [cursor, setCursor] = useState<{ x: number; y: number } | null>(null)
  const [ring, setRing] = useState<{ x: number; y: number; rx: number; ry: number } | null>(null)
  const held = useRef<{ id: string; dx: number; dy: number } | null>(null)
  // A browser calls the end of a drag a click as well.
  const dragged = useRef(false)
  /** One step of the keyboard, the size of a mark, of what a finger can hit, of the smallest ring. */
  const unit = Math.max(width, height) / 100
  const near = (n: number) => Math.round(n * 10) / 10
  const inside = (x: number, y: number) => ({
    x: near(Math.min(width, Math.max(0, x))),
    y: near(Math.min(height, Math.max(0, y))),
  })
  const place = (e: PointerEvent) => {
    const box = sheet.current!.getBoundingClientRect()
    return inside(((e.clientX - box.left) * width) / box.width, ((e.clientY - box.top) * height) / box.height)
  }
  const live = !disabled && onAdd !== undefined

  const down = (e: PointerEvent<SVGSVGElement>) => {
    if (disabled || e.button !== 0) return
    dragged.current = false
    const at = place(e)
    const id = (e.target as Element).closest('[data-pin]')?.getAttribute('data-pin')
    const pin = pins.find((p) => p.id === id)
    if (pin && onChange) {
      held.current = { id: pin.id, dx: pin.x - at.x, dy: pin.y - at.y }
      sheet.current?.setPointerCapture(e.pointerId)
    } else if (live && mode === 'rings') {
      setRing({ ...at, rx: 0, ry: 0 })
      sheet.current?.setPointerCapture(e.pointerId)
    }
  }
  const move = (e: PointerEvent<SVGSVGElement>) => {
    const at = place(e)
    if (held.current) {
      dragged.current = true
      const pin = pins.find((p) => p.id === held.current?.id)
      if (pin) onChange?.(pin.id, { ...pin, ...inside(at.x + held.current.dx, at.y + held.current.dy) })
    } else if (ring) setRing({ ...ring, rx: near(Math.abs(at.x - ring.x)), ry: near(Math.abs(at.y - ring.y)) })
  }
  const up = () => {
    held.current = null
    if (!ring) return
    setRing(null)
    // A press without a way becomes a ring of a usual size.
    const least = unit * 1.5
    onAdd?.({
      x: ring.x,
      y: ring.y,
      rx: ring.rx < least ? unit * 5 : ring.rx,
      ry: ring.ry < least ? (ring.rx < least ? unit * 5 : least) : ring.ry,
    })
  }
  const press = (e: React.MouseEvent<SVGSVGElement>) => {
    if (!live || dragged.current || mode === 'rings' || (e.target as Element).closest('[data-pin]')) return
    onAdd?.(place(e as unknown as PointerEvent))
  }
  const by = (e: KeyboardEvent) => {
    const step = unit * (e.shiftKey ? 5 : 1)
    return { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[e.key]
  }
  const key = (e: KeyboardEvent<SVGSVGElement>) => {
    if (!live || e.target !== sheet.current) return
    const at = cursor ?? { x: width / 2, y: height / 2 }
    const way = by(e)
    if (way) {
      e.preventDefault()
      setCursor(inside(at.x + way[0]!, at.y + way[1]!))
    } else if (e.key === 'Enter' || e.key === ' ') {
      e.preventDefault()
      setCursor(at)
      onAdd?.(mode === 'rings' ? { ...inside(at.x, at.y), rx: near(unit * 5), ry: near(unit * 5) } : inside(at.x, at.y))
    }
  }
  const pinKey = (e: KeyboardEvent, pin: Pin) => {
    if (disabled) return
    const way = by(e)
    if (way && onChange) {
      e.preventDefault()
      onChange(pin.id, { ...pin, ...inside(pin.x + way[0]!, pin.y + way[1]!) })
    } else if ((e.key === 'Delete' || e.key === 'Backspace') && onRemove) {
      e.preventDefault()
      onRemove(pin.id)
      sheet.current?.focus()
    } else if (/^[+=-]$/.test(e.key) && pin.rx !== undefined && pin.ry !== undefined) {
      e.preventDefault()
      const larger = e.key === '-' ? -unit : unit
      onChange?.(pin.id, {
        ...pin,
        rx: near(Math.max(unit, pin.rx + larger)),
        ry: near(Math.max(unit, pin.ry + larger)),
      })
    }
  }

  return (
    <>
      <svg
        ref={sheet}
        // With keys of its own, explained by its description; only to be read, it is a picture.
        role={live ? 'application' : 'group'}
        aria-label={`${label}: ${picture.alt || 'picture'}`}
        aria-describedby={live ? help : undefined}
        tabIndex={live ? 0 : -1}
        viewBox={`0 0 ${width} ${height}`}
        className={`block w-full rounded border border-edge bg-white select-none ${live ? 'touch-none' : ''}`}
        style={{ cursor: live ? 'crosshair' : undefined }}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={() => (setRing(null), (held.current = null))}
        onClick={press}
        onKeyDown={key}
        onBlur={(e) => e.target === sheet.current && setCursor(null)}
      >
        <image href={urlOf(picture.file, page)} width={width} height={height} />
        {children}
        {pins.map((pin) => (
          <g
            key={pin.id}
            data-pin={pin.id}
            role={disabled ? 'img' : 'button'}
            aria-label={pin.said}
            tabIndex={disabled ? undefined : 0}
            className="pin"
            style={{ cursor: disabled ? undefined : 'grab' }}
            onKeyDown={(e) => pinKey(e, pin)}
          >
            {pin.rx !== undefined ? (
              <>
                <ellipse
                  cx={pin.x}
                  cy={pin.y}
                  rx={pin.rx}
                  ry={pin.ry}
                  fill="#fff"
                  fillOpacity={0.15}
                  stroke="#fff"
                  strokeWidth={unit * 0.9}
                />
                <ellipse
                  cx={pin.x}
                  cy={pin.y}
                  rx={pin.rx}
                  ry={pin.ry}
                  fill="none"
                  stroke={RUST}
                  strokeWidth={unit * 0.45}
                />
              </>
            ) : (
              <>
                <circle cx={pin.x} cy={pin.y} r={unit * 4.2} fill="transparent" />
                <circle cx={pin.x} cy={pin.y} r={unit * 1.7} fill="#fff" stroke={RUST} strokeWidth={unit * 0.5} />
                <circle cx={pin.x} cy={pin.y} r={unit * 0.6} fill={RUST} />
              </>
            )}
            {pin.text ? (
              <text
                x={pin.x + (pin.rx ?? unit * 2.3)}
                y={pin.y - (pin.ry ?? unit * 1.4)}
                fontSize={unit * 3.2}
                fontWeight={700}
                fill="#1D2B33"
                stroke="#fff"
                strokeWidth={unit * 0.9}
                paintOrder="stroke"
              >
                {pin.text}
              </text>
            ) : null}
          </g>
        ))}
        {ring ? (
          <ellipse
            cx={ring.x}
            cy={ring.y}
            rx={ring.rx}
            ry={ring.ry}
            fill="none"
            stroke={RUST}
            strokeWidth={unit * 0.45}
          />
        ) : null}
        {cursor ? (
          <path
            d={`M${cursor.x - unit * 2.5} ${cursor.y}h${unit * 5}M${cursor.x} ${cursor.y - unit * 2.5}v${unit * 5}`}
            stroke={RUST}
            strokeWidth={unit * 0.4}
            pointerEvents="none"
          />
        ) : null}
      </svg>
      {live ? (
        <p id={help} className="sr-only">
          Arrow keys move a cursor, with Shift further; Enter sets a mark at it. A mark is moved by arrow keys and taken
          away by Delete{mode === 'rings' ? '; plus and minus make it larger and smaller' : ''}.
        </p>
      ) : null}
    </>
  )
}
