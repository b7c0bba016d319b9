import type { Item } from './types'

/** A question as it stood when its editor was left, and the version it was made from. */
export type Unsaved = { item: Item; version: number }

/** Kept for this tab alone, and not beyond signing out: it holds keys. */
const STORE = 'chalk.unsaved.'

export function unsaved(place: string, type: string): Unsaved | null {
  try {
    const kept = JSON.parse(sessionStorage.getItem(STORE + place) ?? 'null') as Unsaved | null
    return kept?.item?.type === type ? kept : null
  } catch {
    return null
  }
}

export function keepUnsaved(place: string, kept: Unsaved) {
  try {
    sessionStorage.setItem(STORE + place, JSON.stringify(kept))
  } catch {
    // A full store only means that leaving without saving loses the change, as the head of the screen warns.
  }
}

export function dropUnsaved(place: string) {
  sessionStorage.removeItem(STORE + place)
}
