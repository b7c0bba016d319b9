/** Two decimals with a true minus sign. */
export const two = (x: number) => x.toFixed(2).replace('-', '−')

/** A ratio to others: beyond a hundred times, how far says nothing. */
export const times = (x: number) => (x > 100 ? 'over 100' : x < 0.01 ? 'under 0.01' : two(x))

/** The flags of a question, the gravest first: what may be a fault of the question before what may be the class. */
const GRAVEST = [
  'perhaps mis-keyed',
  'two readings',
  'separates backwards',
  'does not separate',
  'rushed',
  'not reached by many',
  'too hard to say',
  'too easy to say',
  'idle distractor',
]

/** The question that most wants looking at; none when no flag says anything. */
export function gravest<Q extends { flags: { kind: string }[] }>(questions: Q[]): Q | undefined {
  const rank = (q: Q) => Math.min(...q.flags.map((f) => GRAVEST.indexOf(f.kind)).filter((place) => place >= 0))
  return questions.filter((q) => rank(q) < Infinity).sort((a, b) => rank(a) - rank(b))[0]
}

/** A difference of two shares is told in points of a hundred, not in per cent of anything. */
export function points(x: number): string {
  const whole = Math.round(100 * x)
  return `${whole > 0 ? '+' : whole < 0 ? '−' : ''}${Math.abs(whole)} points`
}

/**
 * Heights for names that would lie on one another: each at least `gap` below the one before, none below `last`.
 * @param at where each belongs, from the top down
 */
export function apart(at: readonly number[], gap: number, last: number): number[] {
  const down = at.reduce<number[]>((all, y) => [...all, Math.max(y, (all.at(-1) ?? -Infinity) + gap)], [])
  return down.map((y, i) => Math.min(y, last - (down.length - 1 - i) * gap))
}
