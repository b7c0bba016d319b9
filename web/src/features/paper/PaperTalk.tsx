import { useMemo } from 'react'
import type { Schemas } from '@/lib/api/client'
import { begun } from '@/lib/format'
import { later } from '@/ui/later'
import { numbersOf, type Paper } from './draft'

// Its form is fetched after the paper is there.
const Talk = later(() => import('@/ui/Talk').then((it) => it.Talk))

/** What colleagues say of a paper, pinned to the whole, a section, a question or a source. */
export function PaperTalk({
  paperId,
  paper,
  items,
}: {
  paperId: string
  paper: Paper
  items: Record<string, Schemas['Item']>
}) {
  const about = useMemo(() => {
    const numbers = numbersOf(paper)
    const parts = [{ value: '', label: 'the whole paper' }]
    for (const section of paper.sections) {
      parts.push({ value: section.id, label: section.title || 'Section' })
      for (const entry of section.entries)
        parts.push({
          value: entry.id,
          label:
            entry.kind === 'source'
              ? begun(entry.source.title || 'Source')
              : begun(`${numbers.get(entry.id) ?? ''} ${items[entry.item]?.title ?? ''}`),
        })
    }
    return { on: 'papers' as const, id: paperId, parts }
  }, [paperId, paper, items])
  return <Talk about={about} />
}
