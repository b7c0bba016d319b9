import { Toast as Radix } from 'radix-ui'
import { useSyncExternalStore } from 'react'
import { Button } from './Button'

type Toast = { id: number; text: string; undo?: () => void; bad?: boolean }
let toasts: Toast[] = []
let last = 0
const listeners = new Set<() => void>()
const set = (next: Toast[]) => {
  toasts = next
  listeners.forEach((listener) => listener())
}
const putAway = (id: number) => set(toasts.filter((one) => one.id !== id))

/** Says quietly what happened. Whatever can be taken back offers it for a while, and as long as it has focus or pointer. */
export function toast(text: string, options: { undo?: () => void; bad?: boolean } = {}) {
  last += 1
  set([...toasts.slice(-2), { id: last, text, ...options }])
}

/** Takes every message away, and with it what the reader before could have taken back. */
export const clearToasts = () => set([])

const STAYS = { undo: 12_000, bad: 9000, said: 4500 }

function Line({ toast: t }: { toast: Toast }) {
  return (
    <Radix.Root
      type={t.bad ? 'foreground' : 'background'}
      duration={t.undo ? STAYS.undo : t.bad ? STAYS.bad : STAYS.said}
      onOpenChange={(open) => !open && putAway(t.id)}
      className="flex items-center gap-3 rounded border border-ink bg-ink px-4 py-2 text-ground shadow-float"
    >
      <Radix.Description>
        {t.bad ? '✕ ' : ''}
        {t.text}
      </Radix.Description>
      {t.undo ? (
        <Radix.Action asChild altText="Undo, with F8 and Tab">
          <Button size="small" kind="bare" onClick={() => t.undo?.()}>
            Undo
          </Button>
        </Radix.Action>
      ) : null}
    </Radix.Root>
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
    <Radix.Provider label="What happened" swipeDirection="down">
      {now.map((t) => (
        <Line key={t.id} toast={t} />
      ))}
      <Radix.Viewport
        label="Messages ({hotkey})"
        // On a phone above the foot of the screen, where the next act is.
        className="no-print pointer-events-none fixed inset-x-3 bottom-20 z-[60] flex flex-col items-center gap-2 outline-none *:pointer-events-auto md:bottom-5"
      />
    </Radix.Provider>
  )
}
