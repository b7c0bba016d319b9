import { merged } from '@/lib/drafts/merge'
import type { Schemas } from '@/lib/api/client'
import { rational } from '@/lib/format'

export type Paper = Schemas['Paper']
export type Section = Schemas['Section']
export type Entry = Schemas['Entry']

/** Pure changes of a draft; the desk keeps them in a history for undo. */

const random = (prefix: string) => `${prefix}${Math.random().toString(36).slice(2, 9)}`
export const freshId = (prefix: 'e' | 's', paper: Paper): string => {
  const used = new Set(paper.sections.flatMap((s) => [s.id, ...s.entries.map((e) => e.id)]))
  let id = random(prefix)
  while (used.has(id)) id = random(prefix)
  return id
}

export const sectionOf = (paper: Paper, entryId: string) =>
  paper.sections.find((s) => s.entries.some((e) => e.id === entryId))
const entryOf = (paper: Paper, entryId: string | null) =>
  paper.sections.flatMap((s) => s.entries).find((e) => e.id === entryId)

const inSection = (paper: Paper, sectionId: string, change: (section: Section) => Section): Paper => ({
  ...paper,
  sections: paper.sections.map((s) => (s.id === sectionId ? change(s) : s)),
})

export const withSection = (paper: Paper, sectionId: string, change: Partial<Section>) =>
  inSection(paper, sectionId, (s) => ({ ...s, ...change }))
export const withEntry = (paper: Paper, entry: Entry): Paper => ({
  ...paper,
  sections: paper.sections.map((s) => ({ ...s, entries: s.entries.map((e) => (e.id === entry.id ? entry : e)) })),
})
export const withoutEntry = (paper: Paper, entryId: string): Paper => ({
  ...paper,
  sections: paper.sections.map((s) => ({ ...s, entries: s.entries.filter((e) => e.id !== entryId) })),
})

/** Puts entries behind another, or at the end of a section. */
export function inserted(paper: Paper, entries: Entry[], sectionId: string, afterId?: string | null): Paper {
  return inSection(paper, sectionId, (s) => {
    const at = s.entries.findIndex((e) => e.id === afterId)
    const next = [...s.entries]
    next.splice(at < 0 ? next.length : at + 1, 0, ...entries)
    return { ...s, entries: next }
  })
}

/** Takes questions of the bank in, each worth what it is worth there; says which entries they have become. */
export function takenIn(
  paper: Paper,
  items: readonly { id: string; points: string; looksAt?: Schemas['Anchor'] }[],
  sectionId: string,
  afterId?: string | null,
): { paper: Paper; entries: string[] } {
  let next = paper
  const entries: string[] = []
  for (const { id, points, looksAt } of items) {
    const made: Entry = {
      id: freshId('e', next),
      kind: 'question',
      item: id,
      points,
      ...(looksAt ? { looksAt } : {}),
    }
    next = inserted(next, [made], sectionId, entries.at(-1) ?? afterId)
    entries.push(made.id)
  }
  return { paper: next, entries }
}

/** Moves an entry to a place; `index` counts in the section as it is without the entry. */
export function placed(paper: Paper, entryId: string, sectionId: string, index: number): Paper {
  const entry = entryOf(paper, entryId)
  if (!entry) return paper
  return inSection(withoutEntry(paper, entryId), sectionId, (s) => ({
    ...s,
    entries: [...s.entries.slice(0, index), entry, ...s.entries.slice(index)],
  }))
}

/** One step up or down, over the section's edge into its neighbour. */
export function stepped(paper: Paper, entryId: string, by: -1 | 1): Paper {
  const s = paper.sections.findIndex((one) => one.entries.some((e) => e.id === entryId))
  const section = paper.sections[s]
  if (!section) return paper
  const at = section.entries.findIndex((e) => e.id === entryId)
  const to = at + by
  if (to >= 0 && to < section.entries.length) return placed(paper, entryId, section.id, to)
  const neighbour = paper.sections[s + by]
  return neighbour ? placed(paper, entryId, neighbour.id, by < 0 ? neighbour.entries.length : 0) : paper
}

/** Removes a section; ways that led to it lead to the end instead. */
export function withoutSection(paper: Paper, sectionId: string): Paper {
  const mend = (target: string) => (target === sectionId ? 'end' : target)
  return {
    ...paper,
    sections: paper.sections
      .filter((s) => s.id !== sectionId)
      .map((s) =>
        s.route
          ? {
              ...s,
              route: { exits: s.route.exits.map((e) => ({ ...e, to: mend(e.to) })), else: mend(s.route.else) },
            }
          : s,
      ),
  }
}

/** The questions among which a section draws; none where every student gets all. */
export const drawable = (section: Section) =>
  section.drawing ? section.entries.filter((e) => e.kind === 'question' && !e.pinned) : []

/** How many questions and marks of a section one student gets. */
export function sizeOf(section: Section): { questions: number; of: number; points: number } {
  const among = new Set(drawable(section))
  const count = Math.min(among.size, section.drawing?.count ?? 0)
  let sure = 0
  let drawn = 0
  let of = 0
  for (const entry of section.entries)
    if (entry.kind === 'question') {
      of += 1
      if (among.has(entry)) drawn += rational(entry.points)
      else sure += rational(entry.points)
    }
  // Those that are drawn from are worth the same, or the paper cannot be published.
  const points = sure + (among.size > 0 ? (drawn * count) / among.size : 0)
  return { questions: of - among.size + count, of, points }
}

export function numbersOf(paper: Paper): Map<string, number> {
  const numbers = new Map<string, number>()
  for (const section of paper.sections)
    for (const entry of section.entries) if (entry.kind === 'question') numbers.set(entry.id, numbers.size + 1)
  return numbers
}

type OldRoute = { below: string; then: string; else: string; when?: string }

/** A draft that a device kept from before exits were listed, in today's form. */
export const upgraded = (paper: Paper): Paper => ({
  ...paper,
  sections: paper.sections.map((section) => {
    const old = section.route as OldRoute | Section['route']
    if (!old || !('then' in old)) return section
    return {
      ...section,
      route: { exits: [{ when: old.when || `share < ${old.below}`, to: old.then }], else: old.else },
    }
  }),
})

export type History = { past: Paper[]; now: Paper; future: Paper[] }
const DEEP = 100
export const began = (paper: Paper): History => ({ past: [], now: paper, future: [] })
export const changed = (h: History, next: Paper): History =>
  next === h.now ? h : { past: [...h.past.slice(-DEEP + 1), h.now], now: next, future: [] }
/**
 * The same history after a colleague's change: each step of one's own still leads back, and what the colleague changed stays. Steps that
 * do not fit it are left out, with all before them.
 */
export function rebased(h: History, from: Paper, to: Paper): History {
  const fits = (steps: Paper[]) => {
    const kept: Paper[] = []
    for (const step of steps) {
      const { value, clashes } = merged(from, step, to)
      if (clashes.length > 0) break
      kept.push(value)
    }
    return kept
  }
  // What is typed while it comes stays.
  const now = h.now === from ? to : merged(from, h.now, to).value
  return { past: fits(h.past.toReversed()).reverse(), now, future: fits(h.future) }
}
export const undone = (h: History): History => {
  const back = h.past.at(-1)
  return back ? { past: h.past.slice(0, -1), now: back, future: [h.now, ...h.future] } : h
}
export const redone = (h: History): History => {
  const [next, ...rest] = h.future
  return next ? { past: [...h.past, h.now], now: next, future: rest } : h
}

/** The last of the questions that follow a source before another comes; the source itself while none does. */
export function lastBeside(paper: Paper, sourceId: string): string {
  const entries = sectionOf(paper, sourceId)?.entries ?? []
  const after = entries.slice(entries.findIndex((e) => e.id === sourceId) + 1)
  const next = after.findIndex((e) => e.kind === 'source')
  return (next < 0 ? after : after.slice(0, next)).at(-1)?.id ?? sourceId
}
