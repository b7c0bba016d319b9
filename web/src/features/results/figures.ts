/** Two decimals with a true minus sign. */
export const two = (x: number) => x.toFixed(2).replace('-', '−')

/**
 * Heights for names that would lie on one another: each at least `gap` below the one before, none below `last`.
 * @param at where each belongs, from the top down
 */
export function apart(at: readonly number[], gap: number, last: number): number[] {
  const down = at.reduce<number[]>((all, y) => [...all, Math.max(y, (all.at(-1) ?? -Infinity) + gap)], [])
  return down.map((y, i) => Math.min(y, last - (down.length - 1 - i) * gap))
}
