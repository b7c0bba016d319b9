import type { Schemas } from '@/lib/api/client'

export type Answer = Schemas['MarkingMarkedAnswerView']

/** Answers in the order they are marked: set by set, so that like answers follow each other. */
export const inSets = (sets: Schemas['MarkingLookAlikeView'][]) => sets.flatMap((set) => set.answers)

/** Which answer it is, whatever place it has on the desk. */
export const nameOf = (answer: Answer) => `${answer.sittingId}-${answer.try}`

export const done = (answer: Answer) => answer.byHand || answer.verdict !== 'by hand'

/** The next place after `at` whose answer still waits, going round once; null when none does. */
export function nextWaiting(order: number[], answers: Answer[], at: number): number | null {
  for (let i = 1; i <= order.length; i++) {
    const place = order[(order.indexOf(at) + i) % order.length]
    if (place !== undefined && place !== at && answers[place] && !done(answers[place])) return place
  }
  return null
}

/** Points reached and possible for the levels picked; null while a criterion is open. */
export function pointsOf(
  criteria: Schemas['Criterion'][],
  levels: (number | null)[],
  value: (points: string) => number,
): { reached: number | null; possible: number } {
  const possible = criteria.reduce((sum, c) => sum + Math.max(0, ...c.levels.map((l) => value(l.points))), 0)
  let reached: number | null = 0
  criteria.forEach((c, i) => {
    const level = c.levels[levels[i] ?? -1]
    reached = reached === null || !level ? null : reached + value(level.points)
  })
  return { reached, possible }
}
