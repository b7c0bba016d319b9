import { useEffect, useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { sorry } from '@/ui/sorry'
import { sectionOf, takenIn, type Paper } from './draft'

type Taken = { id: string; title: string; points: string; looksAt?: Schemas['Anchor'] }

/**
 * Takes questions of the bank into the paper. Until a save brings them in full they are known by their titles. A question written
 * for this paper comes back as `?take=…`, and goes where the writer stood when leaving.
 */
export function useTaking(paper: Paper, change: (paper: Paper) => void, select: (entry: string | null) => void) {
  const [taken, setTaken] = useState<Record<string, { title: string }>>({})
  const [params, setParams] = useSearchParams()
  // What is fetched meanwhile goes into the paper as it is then.
  const latest = useRef(paper)
  useEffect(() => {
    latest.current = paper
  })
  const takeIn = (rows: readonly Taken[], sectionId: string, after: string | undefined) => {
    setTaken((old) => ({ ...old, ...Object.fromEntries(rows.map(({ id, title }) => [id, { title }])) }))
    const next = takenIn(latest.current, rows, sectionId, after)
    change(next.paper)
    return next.entries
  }
  /** @param looksAt where those look that look at a part of a source */
  const takeById = async (all: readonly string[], at: string, looksAt: Record<string, Schemas['Anchor']> = {}) => {
    const place = sectionOf(paper, at) ?? paper.sections.find((s) => s.id === at) ?? paper.sections.at(-1)
    const known = new Set(paper.sections.flatMap((s) => s.entries).map((e) => (e.kind === 'question' ? e.item : '')))
    const ids = all.filter((id) => !known.has(id))
    if (!place || ids.length === 0) return
    try {
      const found = await Promise.all(ids.map((id) => take(api.GET('/api/items/{id}', { params: { path: { id } } }))))
      const rows = found.map(({ id, item }) => ({
        id,
        title: item.title,
        points: item.points,
        looksAt: looksAt[id],
      }))
      select(takeIn(rows, place.id, at)[0] ?? null)
    } catch (error) {
      sorry(error)
    }
  }
  const arriving = params.get('take')
  const arrived = useRef(false)
  useEffect(() => {
    if (!arriving || arrived.current) return
    arrived.current = true
    setParams({}, { replace: true })
    void takeById(arriving.split(','), params.get('at') ?? '')
    // Once, on arrival.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [arriving])
  return { taken, takeIn, takeById }
}
