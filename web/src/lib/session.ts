import { useSyncExternalStore } from 'react'

/**
 * A session that ends while somebody is at work: the desk stays as it is, signing in is laid over it, and what waited is
 * sent once they are back.
 */
let ended = false
const watching = new Set<() => void>()
const waiting = new Set<() => void>()

const become = (next: boolean) => {
  if (ended === next) return
  ended = next
  for (const tell of watching) tell()
  if (!next) for (const go of waiting) go()
}

/** A request came back unanswered, since nobody is signed in any more. */
export const sessionEnded = () => become(true)
/** They are back. */
export const sessionResumed = () => become(false)

export const useSessionEnded = () =>
  useSyncExternalStore(
    (tell) => {
      watching.add(tell)
      return () => watching.delete(tell)
    },
    () => ended,
  )

/** What is done anew when they are back; the answer ends it. */
export function onResume(go: () => void) {
  waiting.add(go)
  return () => void waiting.delete(go)
}
