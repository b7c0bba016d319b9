import { useEffect, useRef, useSyncExternalStore } from 'react'

/** What is said to those who listen rather than look: in one place, one thing at a time, politely. */
let said = ''
const watching = new Set<() => void>()

export function say(text: string) {
  // The same said twice is heard twice only when it differs.
  said = text === said ? `${text}\u00A0` : text
  for (const tell of watching) tell()
}

export const useSay = () =>
  useSyncExternalStore(
    (tell) => {
      watching.add(tell)
      return () => watching.delete(tell)
    },
    () => said,
  )

/** Says what has become of something on the screen, each time it is put in other words; nothing on arrival, and nothing for ''. */
export function useSaid(text: string) {
  const before = useRef(text)
  useEffect(() => {
    if (text !== before.current && text !== '') say(text)
    before.current = text
  }, [text])
}
