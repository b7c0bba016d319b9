export type Toast = { id: number; text: string; undo?: () => void; bad?: boolean }
let toasts: Toast[] = []
let last = 0
const listeners = new Set<() => void>()
const set = (next: Toast[]) => {
  toasts = next
  listeners.forEach((listener) => listener())
}
export const putAway = (id: number) => set(toasts.filter((one) => one.id !== id))

/** Says quietly what happened. Whatever can be taken back offers it for a while, and as long as it has focus or pointer. */
export function toast(text: string, options: { undo?: () => void; bad?: boolean } = {}) {
  last += 1
  set([...toasts.slice(-2), { id: last, text, ...options }])
}

/** Takes every message away, and with it what the reader before could have taken back. */
export const clearToasts = () => set([])

/** For the one place that shows them. */
export const messages = {
  subscribe: (listener: () => void) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  },
  now: (): readonly Toast[] => toasts,
}
