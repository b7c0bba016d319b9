import { useEffect, useState, useSyncExternalStore } from 'react'
import type { Draft } from './draft'

/** A draft for as long as its desk is open: sends what it can when the desk is left, and warns before leaving only what is unsent. */
export function useDraft<T>(make: () => Draft<T>): Draft<T> {
  const [draft] = useState(make)
  useSyncExternalStore(draft.watch, () => draft.line)
  useEffect(() => {
    const end = draft.begin()
    const warn = (event: BeforeUnloadEvent) => {
      if (draft.unsent()) event.preventDefault()
    }
    addEventListener('beforeunload', warn)
    return () => {
      removeEventListener('beforeunload', warn)
      end()
    }
  }, [draft])
  return draft
}
