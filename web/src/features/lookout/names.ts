import { useSyncExternalStore } from 'react'
import { aliases, type Row } from './rows'

/**
 * Whether names are hidden, and who is which number meanwhile: drawn anew each time they are. One thing for all screens of a handout,
 * so that no name shows because another screen was opened.
 */
const hidden = new Map<string, ReadonlyMap<string, number>>()
const listening = new Set<() => void>()
const listen = (told: () => void) => {
  listening.add(told)
  return () => void listening.delete(told)
}

export function useNames(handoutId: string, rows: Row[]) {
  const drawn = useSyncExternalStore(listen, () => hidden.get(handoutId) ?? null)
  return {
    hidden: drawn,
    turn: () => {
      if (drawn) hidden.delete(handoutId)
      else hidden.set(handoutId, aliases(rows))
      listening.forEach((told) => told())
    },
    nameOf: (row: Row) => (drawn ? `Student ${drawn.get(row.studentId) ?? '?'}` : row.name),
  }
}
