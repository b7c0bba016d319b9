import { useEffect, useState, type KeyboardEvent } from 'react'

/** Pixels, so that some three lines stay light; and of one step by keys. */
const BAND = 150
const STEP = 40

/** A band of light over a darker page: it goes where the pointer is, or the focus, or by arrow keys on its handle. */
export function LineFocus() {
  const [y, setY] = useState(() => innerHeight / 3)
  useEffect(() => {
    const inside = (at: number) => Math.min(innerHeight - BAND / 2, Math.max(BAND / 2, at))
    const point = (e: PointerEvent) => setY(inside(e.clientY))
    const focus = (e: FocusEvent) => {
      const box = (e.target as Element).getBoundingClientRect?.()
      if (box && !(e.target as Element).closest('[data-band]')) setY(inside(box.top + box.height / 2))
    }
    document.addEventListener('pointermove', point)
    document.addEventListener('pointerdown', point)
    document.addEventListener('focusin', focus)
    return () => {
      document.removeEventListener('pointermove', point)
      document.removeEventListener('pointerdown', point)
      document.removeEventListener('focusin', focus)
    }
  }, [])
  const key = (e: KeyboardEvent) => {
    const by = { ArrowUp: -STEP, ArrowDown: STEP, PageUp: -BAND, PageDown: BAND }[e.key]
    if (by === undefined) return
    e.preventDefault()
    setY((old) => Math.min(innerHeight - BAND / 2, Math.max(BAND / 2, old + by)))
  }
  const shade = 'pointer-events-none fixed inset-x-0 z-30 bg-ink/60'
  return (
    <>
      <div aria-hidden className={`${shade} top-0`} style={{ height: Math.max(0, y - BAND / 2) }} />
      <div aria-hidden className={`${shade} bottom-0`} style={{ top: y + BAND / 2 }} />
      <button
        type="button"
        role="slider"
        data-band
        aria-label="Where the light band is, from the top of the page"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round((100 * y) / innerHeight)}
        aria-orientation="vertical"
        className="fixed right-0 z-30 h-11 w-6 -translate-y-1/2 rounded-l border border-edge bg-sheet font-bold"
        style={{ top: y }}
        onKeyDown={key}
      >
        <span aria-hidden>⋮</span>
      </button>
    </>
  )
}
