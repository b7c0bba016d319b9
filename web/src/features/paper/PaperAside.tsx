import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { ask } from '@/lib/queries'
import type { Schemas } from '@/lib/api/client'
import { decimal, moment, plural, spanInMarks } from '@/lib/format'
import { standing, toWhom, type Handout } from '@/lib/handouts'
import { Aside } from '@/ui/Aside'
import { Button } from '@/ui/Button'
import { later } from '@/ui/later'
import { Failed, Loading } from '@/ui/States'

// Its form is fetched by whoever copies.
const CopyDialog = later(() => import('./CopyDialog').then((it) => it.CopyDialog))

/** A paper beside the list: what is in it, whether it is sound, where it was used. */
export function PaperAside({
  paper,
  uses,
  onArchive,
}: {
  paper: Schemas['PaperPaperRowView']
  uses: readonly Handout[]
  onArchive: () => void
}) {
  const whole = useQuery(ask.paper(paper.id))
  const [copying, setCopying] = useState(false)
  return (
    <Aside
      title={paper.title || 'Untitled'}
      note={`${plural(paper.sections, 'section')}, ${plural(paper.questions, 'question')}${whole.data ? `, ${spanInMarks(whole.data.proof.leastPoints, whole.data.proof.mostPoints)}` : ''}`}
      to={`/papers/${paper.id}`}
    >
      {paper.editionId ? (
        <Link
          to={`/handouts/new?edition=${paper.editionId}`}
          className="self-start rounded border border-rust bg-rust px-3 py-1.5 font-semibold text-on-rust hover:bg-rust-dark"
        >
          Hand out
        </Link>
      ) : null}
      {whole.isPending ? <Loading what="Opening the paper" /> : null}
      {whole.isError ? <Failed error={whole.error} retry={() => void whole.refetch()} /> : null}
      {whole.data ? <Outline paper={whole.data} /> : null}
      <section>
        <h3 className="text-base">Where has it been used?</h3>
        {uses.length === 0 ? <p className="text-quiet">Nowhere yet.</p> : null}
        <ul>
          {uses.slice(0, 5).map((h) => (
            <li key={h.id} className="flex gap-2 border-b py-1">
              <Link
                to={h.handedIn > 0 ? `/results/${h.id}` : `/lookout/${h.id}`}
                className="min-w-0 flex-1 text-blue underline"
              >
                {toWhom(h)}
              </Link>
              <span className="text-quiet">
                {moment(h.madeAt)} · {standing(h)}
              </span>
            </li>
          ))}
        </ul>
        {uses.length > 5 ? (
          <p className="text-sm text-quiet">and {plural(uses.length - 5, 'earlier handout')}</p>
        ) : null}
      </section>
      <div className="-ml-3 flex flex-wrap gap-2">
        <Button kind="quiet" disabled={!whole.data} onClick={() => setCopying(true)}>
          The same again …
        </Button>
        <Button kind="quiet" aria-label={`Archive ${paper.title}`} onClick={onArchive}>
          Archive
        </Button>
      </div>
      {copying && whole.data ? <CopyDialog stored={whole.data} onClose={() => setCopying(false)} /> : null}
    </Aside>
  )
}

function Outline({ paper: { paper, items, proof } }: { paper: Schemas['PaperPaperView'] }) {
  const numbers = new Map<string, number>()
  for (const section of paper.sections)
    for (const entry of section.entries) if (entry.kind === 'question') numbers.set(entry.id, numbers.size + 1)
  const blocking = proof.defects.filter((d) => d.blocks).length
  return (
    <section>
      <h3 className="text-base">What is in it?</h3>
      {blocking > 0 ? (
        <p className="text-bad">✕ {plural(blocking, 'defect')} to mend before it can be published</p>
      ) : proof.defects.length > 0 ? (
        <p className="text-blue">{plural(proof.defects.length, 'note')} from the proof</p>
      ) : null}
      {paper.sections.map((section) => (
        <div key={section.id} className="mt-1">
          {paper.sections.length > 1 ? <p className="text-sm font-semibold text-quiet">{section.title}</p> : null}
          <ol>
            {section.entries.map((entry) => (
              <li key={entry.id} className="flex gap-2 border-b py-1">
                <span className="w-5 shrink-0 text-quiet tabular-nums">{numbers.get(entry.id) ?? '¶'}</span>
                <span className="min-w-0 flex-1 truncate">
                  {entry.kind === 'question' ? items[entry.item]?.title || 'Untitled question' : entry.source.title}
                </span>
                {entry.kind === 'question' ? <span className="text-quiet">{decimal(entry.points)}</span> : null}
              </li>
            ))}
          </ol>
        </div>
      ))}
    </section>
  )
}
