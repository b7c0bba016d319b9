import { withSection, type Entry, type Paper } from './draft'

/** What is done to several parts of a paper at one stroke; one undo takes it back. */

const without = (paper: Paper, ids: ReadonlySet<string>): Paper => ({
  ...paper,
  sections: paper.sections.map((s) => ({ ...s, entries: s.entries.filter((e) => !ids.has(e.id)) })),
})

export const severalOut = (paper: Paper, ids: readonly string[]) => without(paper, new Set(ids))

/**
 * Moves parts to stand together, in the order that they have in the paper, before another part of a section; at its end where that is
 * none, or is one of them.
 */
export function severalPlaced(paper: Paper, ids: readonly string[], sectionId: string, before: string | null): Paper {
  const moved = new Set(ids)
  const entries = paper.sections.flatMap((s) => s.entries).filter((e) => moved.has(e.id))
  const rest = without(paper, moved)
  const section = rest.sections.find((s) => s.id === sectionId)
  if (!section) return paper
  const at = section.entries.findIndex((e) => e.id === before)
  const next = [...section.entries]
  next.splice(at < 0 ? next.length : at, 0, ...entries)
  return withSection(rest, sectionId, { entries: next })
}

type Question = Extract<Entry, { kind: 'question' }>

/** Changes the questions among parts. */
export const severalChanged = (paper: Paper, ids: readonly string[], change: Partial<Question>): Paper => ({
  ...paper,
  sections: paper.sections.map((s) => ({
    ...s,
    entries: s.entries.map((e) => (ids.includes(e.id) && e.kind === 'question' ? { ...e, ...change } : e)),
  })),
})
