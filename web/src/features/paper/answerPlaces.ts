import { letter } from '@/answers/parts/letter'
import { blankItem } from '@/answers/registry'
import type { Schemas } from '@/lib/api/client'

/** What is asked for at a place of a sheet. */
export const WAYS = [
  { value: 'write', label: 'words or a number' },
  { value: 'pick', label: 'one letter of several' },
  { value: 'tick', label: 'a tick, or none' },
  { value: 'draw', label: 'a drawing on the page' },
  { value: 'explain', label: 'sentences' },
] as const
type Way = (typeof WAYS)[number]['value']

/** A place on a sheet where an answer is given, before it is a question of the bank. */
export type AnswerPlace = {
  id: string
  /** thousandths of the page's width and height */
  x: number
  y: number
  page: number
  way: Way
  /** what is right: words or a number; the letter; "yes" or "no" */
  key: string
  /** how many letters there are to pick from */
  letters: number
  marks: string
}

export const freshPlace = (at: { x: number; y: number; page: number }, like?: AnswerPlace): AnswerPlace => ({
  letters: 4,
  marks: '1',
  way: 'write',
  ...like,
  id: crypto.randomUUID(),
  ...at,
  key: like?.way === 'tick' ? 'yes' : '',
})

export const lettersOf = (place: AnswerPlace) => Array.from({ length: place.letters }, (_, i) => letter(i))

/** What is missing before a place can be a question; nothing where all is said. */
export const faultOf = (place: AnswerPlace): string =>
  place.way === 'write' && place.key.trim() === ''
    ? 'Say what is right here.'
    : place.way === 'pick' && !lettersOf(place).includes(place.key)
      ? 'Say which letter is right.'
      : ''

const RUBRIC = [
  {
    name: 'Answer',
    levels: [
      { descriptor: 'Not right', points: '0', misconception: null },
      { descriptor: 'Right', points: '1', misconception: null },
    ],
  },
]

/** Which mark it is stands beside it and on the sheet; a number in words would be wrong once questions move. */
const PROMPT = 'Answer where the mark stands on the sheet.'

/** Pages that are drawn on, each as a picture of the team's. */
export type Drawable = ReadonlyMap<number, Schemas['Picture']>
export const pagesToDrawOn = (places: readonly AnswerPlace[]) => [
  ...new Set(places.flatMap((p) => (p.way === 'draw' ? [p.page] : []))),
]

/**
 * The places as notes (docs/formats/notes.md), one question each, in the order in which they stand. What is drawn is drawn on the page
 * itself.
 */
export const asNotes = (places: readonly AnswerPlace[], title: string, from: number, pages: Drawable): string =>
  places.map((place, i) => oneNote(place, `${title || 'Sheet'}, ${from + i}`, pages.get(place.page))).join('\n\n')

function oneNote(place: AnswerPlace, title: string, page: Schemas['Picture'] | undefined): string {
  if (place.way === 'draw' || place.way === 'explain') {
    const item = blankItem(place.way === 'draw' ? 'working' : 'open')
    const ground = place.way === 'draw' && page ? { ground: 'picture', picture: page } : {}
    const rule = { ...item.rule, criteria: RUBRIC, ...ground }
    return `document: ${JSON.stringify({ ...item, title, prompt: `<p>${PROMPT}</p>`, points: place.marks, rule })}`
  }
  const head = `title: ${title}\n${PROMPT} [${place.marks}]\n`
  const chosen = (options: readonly string[], right: string) =>
    head + options.map((o) => `${o === right ? 'v' : 'x'} ${o}`).join('\n')
  if (place.way === 'write') return `${head}= ${place.key.trim()}`
  return place.way === 'pick'
    ? chosen(lettersOf(place), place.key)
    : chosen(['ticked', 'left empty'], place.key === 'yes' ? 'ticked' : 'left empty')
}

/** The places as they are read on the sheet: page by page, from the top, from the left. */
export const inReadingOrder = (places: readonly AnswerPlace[]): AnswerPlace[] =>
  // What stands within two hundredths of a page's height stands on one line.
  [...places].sort((a, b) => a.page - b.page || Math.round(a.y / 20) - Math.round(b.y / 20) || a.x - b.x)

export const anchorOf = (place: AnswerPlace, source: string): Schemas['Anchor'] => ({
  source,
  x: place.x,
  y: place.y,
  page: place.page,
})
