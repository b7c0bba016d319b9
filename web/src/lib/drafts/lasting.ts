import { onDevice } from '../remembered'
/**
 * What a student typed and has not sent yet, kept on the device beyond the tab: battery and browser may end. Named by whose it is, so
 * that whoever joins next on a shared device meets nothing of it.
 */
const STORE = 'chalk.writing.'

export function lasting<T>(student: string, place: string): T | null {
  try {
    return JSON.parse(onDevice.getItem(`${STORE}${student}.${place}`) ?? 'null') as T | null
  } catch {
    return null
  }
}

export function keepLasting(student: string, place: string, kept: unknown) {
  try {
    onDevice.setItem(`${STORE}${student}.${place}`, JSON.stringify(kept))
  } catch {
    // A full or refused store only means that the text lasts as long as the page.
  }
}

export function dropLasting(student: string, place: string) {
  onDevice.removeItem(`${STORE}${student}.${place}`)
}
