import type { Tells } from './conditions'

/** The moments from which a student may be told a thing, in their order. */
export const MOMENTS = [
  { id: 'at once', label: 'at once', note: 'each answer' },
  { id: 'handed in', label: 'handed in', note: 'each student' },
  { id: 'closed', label: 'closed', note: 'all are done' },
  { id: 'returned', label: 'returned', note: 'by you' },
] as const
export type Moment = (typeof MOMENTS)[number]['id']
export const NEVER = 'never'

export const THINGS = [
  { id: 'verdict', label: 'right or wrong' },
  { id: 'feedback', label: 'feedback' },
  { id: 'marks', label: 'marks' },
  { id: 'key', label: 'the key' },
  { id: 'workedAnswer', label: 'worked answer' },
  { id: 'classPicture', label: 'the class’s picture' },
] as const
export type Thing = (typeof THINGS)[number]['id']

/** Where a moment stands on the rail of time; never at its end. */
const ORDER: readonly Tells['verdict'][] = [...MOMENTS.map((m) => m.id), NEVER]
export const LAST_PLACE = ORDER.length - 1
export const placeOf = (moment: Tells['verdict']) => ORDER.indexOf(moment)

/** The same plan with a thing told from another place on; how the class did is not told while others still sit. */
export function toldFrom(tells: Tells, thing: Thing, place: number): Tells {
  const least = thing === 'classPicture' ? placeOf('closed') : 0
  return { ...tells, [thing]: ORDER[Math.min(LAST_PLACE, Math.max(least, place))] }
}

/** Whether a thing is told by a moment. What was told stays told. */
export const isTold = (tells: Tells, thing: Thing, at: Moment) =>
  tells[thing] !== NEVER && placeOf(tells[thing]) <= placeOf(at)

export const isSame = (one: Tells, other: Tells) => THINGS.every(({ id }) => one[id] === other[id])
export const isSilent = (tells: Tells) => THINGS.every(({ id }) => tells[id] === NEVER)

/** A plan as it is said: by moment, what is told from there on. */
export const inWords = (tells: Tells) =>
  [
    ...MOMENTS.map((m) => ({ id: m.id as Tells['verdict'], label: m.label })),
    { id: NEVER as Tells['verdict'], label: 'not told' },
  ]
    .map((m) => ({ ...m, things: THINGS.filter((thing) => tells[thing.id] === m.id).map((thing) => thing.label) }))
    .filter((m) => m.things.length > 0)
    .map((m) => `${m.label[0]?.toUpperCase()}${m.label.slice(1)}: ${m.things.join(', ')}.`)
    .join(' ')
