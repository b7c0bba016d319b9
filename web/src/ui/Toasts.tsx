import { useEffect, useSyncExternalStore } from 'react'
import { Button } from './Button'

type Toast = { id: number; text: string; undo?: () => void; bad?: boolean }
let toasts: Toast[] = []
let last = 0
const listeners = new Set<() => void>()
const set = (next: Toast[]) => {
  toasts = next
  listeners.forEach((listener) => listener())
}

/** Says quietly what happened. Whatever can be taken back offers it for a while. */
export function toast(text: string, options: { undo?: () => void; bad?: boolean } = {}) {
  last += 1
  set([...toasts.slice(-2), { id: last, text, ...options }])
}

/** Takes every message away, and with it what the reader before could have taken back. */
export const clearToasts = () => set([])

function Line({ toast: t }: { toast: Toast }) {
  useEffect(() => {
    const timer = setTimeout(() => set(toasts.filter((one) => one.id !== t.id)), t.undo ? 12_000 : t.bad ? 9000 : 4500)
    return () => clearTimeout(timer)
  }, [t])
  return (
    <div className="flex items-center gap-3 rounded border border-ink bg-ink px-4 py-2 text-ground shadow-float">
      <span>
        {t.bad ? '✕ ' : ''}
        {t.text}
      </span>
      {t.undo ? (
        <Button
          size="small"
          className="!border-ground !bg-transparent !text-ground"
          onClick={() => {
            t.undo?.()
            set(toasts.filter((one) => one.id !== t.id))
          }}
        >
          Undo
        </Button>
      ) : null}
    </div>
  )
}

export function Toasts() {
  const now = useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => toasts,
  )
  return (
    <div
      role="status"
      // On a phone above the foot of the screen, where the next act is.
      className="no-print pointer-events-none fixed inset-x-3 bottom-20 z-[60] flex flex-col items-center gap-2 *:pointer-events-auto md:bottom-5"
    >
      {now.map((t) => (
        <Line key={t.id} toast={t} />
      ))}
    </div>
  )
}
