import type { Value } from '../kinds'

export const textOf = (value: Value | null) => (value && 'text' in value ? value.text : '')
export const optionsOf = (value: Value | null) => (value && 'options' in value ? value.options : [])

/** Nothing stands in it, whatever the type. */
export const isBlank = (value: Value | null | undefined) => !value || Object.values(value).every(isEmpty)

const isEmpty = (part: unknown): boolean =>
  typeof part === 'string'
    ? part.trim() === ''
    : typeof part === 'object' && part !== null
      ? Object.values(part).every(isEmpty)
      : false

export const orderOf = (value: Value | null) => (value && 'order' in value ? value.order : [])
export const pairsOf = (value: Value | null) => (value && 'pairs' in value ? value.pairs : [])
export const gapsOf = (value: Value | null) => (value && 'gaps' in value ? value.gaps : {})
export const filesOf = (value: Value | null) => (value && 'files' in value ? value.files : [])
export const strokesOf = (value: Value | null) => (value && 'strokes' in value ? value.strokes : [])
export const pointsOf = (value: Value | null) => (value && 'points' in value ? (value.points ?? []) : [])
export const cellsOf = (value: Value | null) => (value && 'cells' in value ? value.cells : [])

/** The words of some texts, each read once: an editor names its options by theirs at every key. */
const read = new Map<string, string>()
const MOST_READ = 500

/** The words of rich text, to name something by. */
export const plainOf = (html: string) => {
  const known = read.get(html)
  if (known !== undefined) return known
  const words = readPlain(html)
  if (read.size >= MOST_READ) read.clear()
  read.set(html, words)
  return words
}

const readPlain = (html: string) => {
  const page = new DOMParser().parseFromString(html, 'text/html')
  page.querySelectorAll('[data-math]').forEach((place) => place.replaceWith(place.getAttribute('data-math') ?? ''))
  return (page.body.textContent ?? '').trim()
}
