import { useQuery } from '@tanstack/react-query'
import { X } from 'lucide-react'
import { useState } from 'react'
import { ask } from '@/lib/queries'
import { useTerms } from '@/lib/terms'
import { Button } from '@/ui/Button'
import { Combobox } from '@/ui/Combobox'
import { Failed, Loading } from '@/ui/States'
import { Tip } from '@/ui/Tip'
import type { Paper } from './draft'

type FollowUp = NonNullable<Paper['followUps']>[number]

/** What students are handed next, by themselves: by the rung they reached or a wrong idea they showed. */
export function FollowUpForm({
  paperId,
  paper,
  onChange,
}: {
  paperId: string
  paper: Paper
  onChange: (paper: Paper) => void
}) {
  const lines = paper.followUps ?? []
  const [adding, setAdding] = useState(false)
  const set = (followUps: FollowUp[]) => {
    const { followUps: before, ...rest } = paper
    if (before || followUps.length > 0) onChange(followUps.length > 0 ? { ...rest, followUps } : rest)
  }
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-lg">Follow-ups</h2>
      {lines.length > 0 || adding ? (
        <>
          <p className="text-[15px] text-quiet">
            Handed out by themselves once all of a student’s work is marked and they may know their marks. The first
            that fits is taken.
          </p>
          <Lines paperId={paperId} lines={lines} adding={adding} onChange={set} onAdded={() => setAdding(false)} />
        </>
      ) : null}
      {adding ? null : (
        <Button size="small" className="self-start" onClick={() => setAdding(true)}>
          Add a follow-up
        </Button>
      )}
    </section>
  )
}

function Lines({
  paperId,
  lines,
  adding,
  onChange,
  onAdded,
}: {
  paperId: string
  lines: FollowUp[]
  adding: boolean
  onChange: (lines: FollowUp[]) => void
  onAdded: () => void
}) {
  const terms = useTerms()
  const papers = useQuery(ask.papers())
  const [fresh, setFresh] = useState({ who: '', paper: '' })
  const rungs = terms.data?.rungs ?? []
  const who = [
    ...rungs.map((name, i) => ({
      value: `rung ${i + 1}`,
      label: `reached ${name}`,
      aside: `rung ${i + 1} of ${rungs.length}`,
    })),
    ...(terms.data?.misconceptions ?? []).map(({ id, name }) => ({ value: id, label: `shows: ${name}` })),
  ]
  const what = (papers.data?.papers ?? [])
    .filter((p) => p.id !== paperId)
    .map((p) => ({
      value: p.id,
      label: p.title || 'Untitled paper',
      aside: p.edition === null ? 'no edition yet' : '',
    }))
  const read = (chosen: { who: string; paper: string }): FollowUp =>
    chosen.who.startsWith('rung ')
      ? { rung: Number(chosen.who.slice(5)), paper: chosen.paper }
      : { misconception: chosen.who, paper: chosen.paper }
  const line = (
    at: { who: string; paper: string },
    n: number,
    onLine: (next: typeof at) => void,
    onDrop: () => void,
  ) => (
    <li key={n} className="flex gap-1 border-b pb-2">
      <div className="flex min-w-0 flex-1 flex-col gap-1">
        <Combobox
          label={`Who, follow-up ${n}`}
          hideLabel
          value={at.who}
          options={[{ value: '', label: 'whoever …' }, ...who]}
          onChange={(next) => onLine({ ...at, who: next })}
        />
        <Combobox
          label={`Is handed, follow-up ${n}`}
          hideLabel
          value={at.paper}
          options={[{ value: '', label: 'is handed …' }, ...what]}
          onChange={(next) => onLine({ ...at, paper: next })}
        />
      </div>
      <Tip says="Take it out">
        <button
          type="button"
          aria-label={`Take out follow-up ${n}`}
          className="flex size-7 shrink-0 items-center justify-center rounded text-quiet hover:bg-rust-pale hover:text-ink"
          onClick={onDrop}
        >
          <X aria-hidden className="size-4" />
        </button>
      </Tip>
    </li>
  )
  if (terms.isError || papers.isError) return <Failed error={terms.error ?? papers.error} />
  if (!terms.data || !papers.data) return <Loading />
  return (
    <ol className="flex flex-col gap-2">
      {lines.map((one, i) =>
        line(
          { who: one.misconception ?? `rung ${one.rung ?? 1}`, paper: one.paper },
          i + 1,
          // A line that says too little stays as it was.
          (next) =>
            next.who !== '' && next.paper !== '' && onChange(lines.map((old, j) => (i === j ? read(next) : old))),
          () => onChange(lines.filter((_, j) => i !== j)),
        ),
      )}
      {adding
        ? line(
            fresh,
            lines.length + 1,
            (next) => {
              if (next.who === '' || next.paper === '') return setFresh(next)
              setFresh({ who: '', paper: '' })
              onAdded()
              onChange([...lines, read(next)])
            },
            onAdded,
          )
        : null}
    </ol>
  )
}
