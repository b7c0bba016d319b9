import { inTab } from '../remembered'
/**
 * What was typed and not yet saved, so that leaving a screen, a reload or a refusal does not lose it. Kept for this tab
 * alone, and not beyond signing out: it may hold keys and marks.
 */
const STORE = 'chalk.unsaved.'

export function unsaved<T>(place: string): T | null {
  try {
    return JSON.parse(inTab.getItem(STORE + place) ?? 'null') as T | null
  } catch {
    return null
  }
}

export function keepUnsaved(place: string, kept: unknown) {
  try {
    inTab.setItem(STORE + place, JSON.stringify(kept))
  } catch {
    // A full store only means that leaving without saving loses the change, as the screens warn.
  }
}

export function dropUnsaved(place: string) {
  inTab.removeItem(STORE + place)
}
