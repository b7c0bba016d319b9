import type { Schemas } from '@/lib/api/client'
import type { Paper } from './draft'

export type Source = Schemas['Source']

export const sourcesOf = (paper: Paper): { id: string; source: Source }[] =>
  paper.sections.flatMap((s) => s.entries).flatMap((e) => (e.kind === 'source' ? [{ id: e.id, source: e.source }] : []))

/** The paper under another name, some of its sources swapped for others; sections, questions and ways are as they were. */
export const copied = (paper: Paper, title: string, swapped: ReadonlyMap<string, Source>): Paper => ({
  ...paper,
  title,
  sections: paper.sections.map((section) => ({
    ...section,
    entries: section.entries.map((entry) =>
      entry.kind === 'source' ? { ...entry, source: swapped.get(entry.id) ?? entry.source } : entry,
    ),
  })),
})
