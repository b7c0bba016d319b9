import type { Schemas } from './api/client'

export type Kind = 'skills' | 'misconceptions'
export type Term = Schemas['BankTermView']
/** How deep it stands, and how many questions name it or one below it, as the bank finds them. */
export type Placed = Term & { depth: number; found: number }

/** Each skill with those below it right after it, by name. What stands below nothing known stands at the top. */
export function inTree(terms: readonly Term[]): Placed[] {
  const known = new Set(terms.map((term) => term.id))
  const below = new Map<string | null, Term[]>()
  for (const term of terms) {
    const above = term.parent !== null && known.has(term.parent) ? term.parent : null
    below.set(above, [...(below.get(above) ?? []), term])
  }
  const placed = (above: string | null, depth: number): Placed[] =>
    (below.get(above) ?? []).flatMap((term) => {
      const under = placed(term.id, depth + 1)
      const direct = under.filter((one) => one.depth === depth + 1)
      const found = direct.reduce((sum, one) => sum + one.found, term.questions)
      return [{ ...term, depth, found }, ...under]
    })
  return placed(null, 0)
}

/** Those below one, and itself: where it cannot be put. */
export function withBelow(terms: readonly Term[], id: string): ReadonlySet<string> {
  const found = new Set([id])
  for (const term of inTree(terms)) if (term.parent !== null && found.has(term.parent)) found.add(term.id)
  return found
}
