import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react'
import type { Schemas } from '@/lib/api/client'
import { keepLasting, lasting } from '@/lib/drafts/lasting'
import { say } from '@/lib/say'
import { useMedia } from './place'
import { fromTray, laid, moved, takenOff, whereInWords, type Laid } from './pieces'

type Piece = Schemas['PaperPieceView']

/** How far a finger may tremble and still press. */
const TREMBLE = 5

/**
 * Pieces that are moved about on a picture to think with: dragged from below it, or pressed to lie in its middle; moved by dragging or
 * arrow keys, and back below when dragged off or by Delete. They lie as they were left on this device.
 */
export function Pieces({ pieces, of, children }: { pieces: readonly Piece[]; of: string; children: ReactNode }) {
  const { plays } = useMedia()
  const ground = useRef<HTMLDivElement>(null)
  const [lie, setLie] = useState<readonly Laid[]>(
    () => (plays ? lasting<Laid[]>(plays, `pieces.${of}`) : null)?.filter((l) => l.piece < pieces.length) ?? [],
  )
  // A browser calls the end of a drag a press as well.
  const dragged = useRef(false)
  /** what lay there before all of it was taken off */
  const [before, setBefore] = useState<readonly Laid[] | null>(null)
  const put = (next: readonly Laid[]) => {
    setLie(next)
    setBefore(null)
    if (plays) keepLasting(plays, `pieces.${of}`, next)
  }
  const at = (e: { clientX: number; clientY: number }) => {
    const box = ground.current!.getBoundingClientRect()
    return { x: (1000 * (e.clientX - box.left)) / box.width, y: (1000 * (e.clientY - box.top)) / box.height }
  }
  const focus = (id: string) =>
    requestAnimationFrame(() => ground.current?.querySelector<HTMLElement>(`[data-piece="${id}"]`)?.focus())

  /** Follows the pointer until it is let go: a piece that lies there, or a new one once it has been moved. */
  const drag = (e: PointerEvent<HTMLElement>, piece: number, lying: Laid | null) => {
    if (e.button !== 0) return
    const from = { x: e.clientX, y: e.clientY }
    const handle = e.currentTarget
    const grip = lying ? { x: lying.x - at(e).x, y: lying.y - at(e).y } : { x: 0, y: 0 }
    let now: { all: readonly Laid[]; id: string } | null = lying ? { all: lie, id: lying.id } : null
    let far = false
    dragged.current = false
    const move = (m: globalThis.PointerEvent) => {
      far ||= Math.hypot(m.clientX - from.x, m.clientY - from.y) > TREMBLE
      if (!far) return
      const to = at(m)
      now ??= fromTray(pieces, lie, piece, to)
      if (!now) return
      now = { ...now, all: moved(now.all, now.id, { x: to.x + grip.x, y: to.y + grip.y }, false) }
      setLie(now.all)
    }
    const up = () => {
      handle.removeEventListener('pointermove', move)
      if (!far || !now) return
      const next = takenOff(now.all, now.id)
      put(next)
      if (!next.some((l) => l.id === now?.id)) say(`${pieces[piece]?.text} is taken off.`)
      dragged.current = true
    }
    handle.setPointerCapture(e.pointerId)
    handle.addEventListener('pointermove', move)
    handle.addEventListener('pointerup', up, { once: true })
    handle.addEventListener('pointercancel', up, { once: true })
  }
  const lay = (piece: number) => {
    const next = fromTray(pieces, lie, piece, { x: 500, y: 500 })
    if (!next) return
    put(next.all)
    focus(next.id)
    say(`${pieces[piece]?.text} lies in the middle. Arrow keys move it, Delete takes it off.`)
  }
  const key = (e: KeyboardEvent, one: Laid) => {
    const step = e.shiftKey ? 100 : 20
    const way = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[e.key]
    if (way) {
      e.preventDefault()
      const next = moved(lie, one.id, { x: one.x + (way[0] ?? 0), y: one.y + (way[1] ?? 0) }, true)
      put(next)
      const to = next.find((l) => l.id === one.id)
      if (to) say(whereInWords(to))
    } else if (e.key === 'Delete' || e.key === 'Backspace') {
      e.preventDefault()
      put(lie.filter((l) => l.id !== one.id))
      say(`${pieces[one.piece]?.text} is taken off.`)
    }
  }
  return (
    <>
      <div ref={ground} className="relative">
        {children}
        {lie.map((one) => (
          <button
            key={one.id}
            type="button"
            data-piece={one.id}
            className="absolute z-30 min-h-11 min-w-11 -translate-1/2 cursor-grab touch-none rounded border-2 border-ink bg-sheet px-2 text-[0.85em] leading-tight font-semibold shadow-float select-none"
            style={{ left: `${one.x / 10}%`, top: `${one.y / 10}%` }}
            aria-label={`${pieces[one.piece]?.text}, ${whereInWords(one)}`}
            onPointerDown={(e) => drag(e, one.piece, one)}
            onKeyDown={(e) => key(e, one)}
          >
            {pieces[one.piece]?.text}
          </button>
        ))}
      </div>
      <div role="group" aria-label="Pieces to lay on it" className="mt-2 flex flex-wrap items-center gap-2">
        {pieces.map((piece, i) => {
          const left = piece.copies - laid(lie, i)
          return (
            <button
              key={i}
              type="button"
              disabled={left < 1}
              className="min-h-11 min-w-11 touch-none rounded border-2 border-dashed border-edge bg-sheet px-2 text-[0.85em] font-semibold select-none disabled:text-quiet disabled:opacity-60"
              onPointerDown={(e) => drag(e, i, null)}
              onClick={() => dragged.current || lay(i)}
            >
              {piece.text}
              {piece.copies > 1 ? <span className="font-normal text-quiet"> × {left}</span> : null}
            </button>
          )
        })}
        {lie.length > 0 || before ? (
          <button
            type="button"
            className="min-h-11 px-2 text-[0.85em] text-blue underline"
            onClick={() => {
              if (before) return put(before)
              put([])
              setBefore(lie)
            }}
          >
            {before ? 'Lay them as they were' : 'Take all off'}
          </button>
        ) : null}
      </div>
    </>
  )
}
