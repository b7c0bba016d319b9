import type { Schemas } from './api/client'

/** The moments from which a student may be told a thing, in their order. */
export const MOMENTS = [
  { id: 'at once', label: 'at once', note: 'each answer' },
  { id: 'handed in', label: 'handed in', note: 'each student' },
  { id: 'returned', label: 'returned', note: 'when you give it back' },
] as const
export type Moment = (typeof MOMENTS)[number]['id']

export const THINGS = ['right or wrong', 'feedback', 'marks', 'the key', 'worked answer'] as const
export type Thing = (typeof THINGS)[number]
type Plan = Schemas['Conditions']['feedback']

/** From which moment each thing is told under a plan; null: never. */
export function toldFrom(plan: Plan, thing: Thing): Moment | null {
  switch (plan) {
    case 'on return':
      return 'returned'
    case 'after hand-in':
      return 'handed in'
    case 'at once':
      return thing === 'right or wrong' || thing === 'feedback' ? 'at once' : 'returned'
    case 'nothing':
      return null
  }
}

/** Whether a thing is told by a moment. What was told stays told. */
export function isTold(plan: Plan, thing: Thing, at: Moment): boolean {
  const from = toldFrom(plan, thing)
  const place = (moment: Moment) => MOMENTS.findIndex((m) => m.id === moment)
  return from !== null && place(from) <= place(at)
}
