import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { typeName } from '@/answers/registry'
import { api, take, type Schemas } from '@/lib/api/client'
import { decimal, duration, inMarks, percent, plural, rational } from '@/lib/format'
import { useTerms } from '@/lib/terms'
import { Button } from '@/ui/Button'
import { Desk } from '@/ui/Desk'
import { Fold } from '@/ui/Fold'
import { NumberField } from '@/ui/NumberField'
import { Failed, Loading } from '@/ui/States'
import { TermSelect } from '@/ui/TermSelect'
import type { Paper } from './draft'
import { planned, withoutPlanned, withPlanned } from './plan'

type Row = Schemas['PaperBlueprintRowView']
type Item = Schemas['BankItemRowView']

/** What the paper asks, skill by skill, against what it is planned to ask; what is thin, and questions of the bank that would fill it. */
export function BlueprintDesk({
  paperId,
  paper,
  view,
  onChange,
  onTake,
}: {
  paperId: string
  paper: Paper
  view: Schemas['PaperPaperView']
  onChange: (paper: Paper) => void
  onTake: (rows: Item[]) => void
}) {
  const terms = useTerms()
  const [chosen, setChosen] = useState<string | null>(null)
  const found = useQuery({
    queryKey: ['paper', paperId, 'blueprint', view.version],
    queryFn: () => take(api.GET('/api/papers/{id}/blueprint', { params: { path: { id: paperId } } })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  })
  const nameOf = (id: string | null) =>
    id === null ? 'No skill named' : (terms.data?.skills.find((s) => s.id === id)?.name ?? 'A skill that is gone')
  // What is planned stands there at once; what is counted follows with the save.
  const counted = found.data?.rows ?? []
  const rows: Row[] = [
    ...counted.filter((r) => r.skill === null || r.entries.length > 0 || planned(paper, r.skill) !== null),
    ...(paper.plan ?? [])
      .filter((p) => !counted.some((r) => r.skill === p.skill))
      .map((p) => ({ ...NOTHING, skill: p.skill, wanted: p.marks })),
  ]
  const here = rows.find((r) => (r.skill ?? '') === chosen) ?? rows[0]
  const whole = found.data?.whole
  const plan = (skill: string, marks: string) => onChange(withPlanned(paper, skill, marks))
  return (
    <Desk
      rightLabel="The skill that is chosen"
      right={
        here ? (
          <SkillAside key={here.skill} row={here} name={nameOf(here.skill)} {...{ view, paper, onTake, onChange }} />
        ) : null
      }
    >
      <div className="mx-auto max-w-4xl p-6">
        {found.isError ? <Failed error={found.error} retry={() => void found.refetch()} /> : null}
        {found.isPending ? <Loading what="Counting the paper" /> : null}
        {whole ? (
          <p className="mb-3">
            {plural(whole.entries.length, 'question')}, {inMarks(whole.marks)}
            {whole.wanted === null ? '' : ` of ${decimal(whole.wanted)} planned`}, about {duration(whole.seconds)}.{' '}
            {whole.facility === null
              ? 'Nothing is known yet of how hard it is.'
              : `A student is expected to reach ${percent(whole.facility)} of the marks (${whole.known} of ${plural(whole.entries.length, 'question')} have a record).`}
          </p>
        ) : null}
        {rows.length > 0 ? (
          <table className="w-full rounded border bg-sheet text-[15px]">
            <caption className="sr-only">What the paper asks, skill by skill</caption>
            <thead>
              <tr className="text-left text-sm text-quiet">
                {['Skill', 'Questions', 'Marks', 'Planned', 'Expected', 'Time'].map((head) => (
                  <th key={head} scope="col" className="border-b px-3 py-1.5 font-semibold">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => {
                const on = row === here
                return (
                  <tr key={row.skill ?? ''} className="border-b align-top">
                    <th scope="row" className={`py-1.5 pr-3 pl-4 text-left font-normal ${on ? 'rung-row' : ''}`}>
                      <button
                        type="button"
                        aria-current={on || undefined}
                        className={`min-h-6 text-left hover:underline ${on ? 'font-semibold' : ''}`}
                        onClick={() => setChosen(row.skill ?? '')}
                      >
                        {nameOf(row.skill)}
                      </button>
                      {row.thin.map((says) => (
                        <span key={says} className="block text-sm text-quiet">
                          ○ {says}
                        </span>
                      ))}
                    </th>
                    <td className="px-3 py-1.5 tabular-nums">{row.entries.length}</td>
                    <td className="px-3 py-1.5 tabular-nums">
                      {decimal(row.marks)}
                      <Filled has={row.marks} wanted={row.skill === null ? null : planned(paper, row.skill)} />
                    </td>
                    <td className="w-20 px-3 py-0.5">
                      {row.skill === null ? null : (
                        <NumberField
                          label={`Marks planned for ${nameOf(row.skill)}`}
                          hideLabel
                          inPlace
                          placeholder="–"
                          value={planned(paper, row.skill) ?? ''}
                          onChange={(marks) => row.skill !== null && plan(row.skill, marks)}
                        />
                      )}
                    </td>
                    <td className="px-3 py-1.5 whitespace-nowrap tabular-nums">
                      {row.facility === null ? (
                        <span className="text-quiet">not known</span>
                      ) : (
                        <>
                          {percent(row.facility)}
                          {row.known < row.entries.length ? (
                            <span className="text-quiet"> of {plural(row.known, 'question')}</span>
                          ) : null}
                        </>
                      )}
                    </td>
                    <td className="px-3 py-1.5 whitespace-nowrap">{row.seconds > 0 ? duration(row.seconds) : '–'}</td>
                  </tr>
                )
              })}
            </tbody>
          </table>
        ) : found.data ? (
          <p className="rounded border border-dashed border-edge p-6 text-quiet">
            Nothing is asked or planned yet. Plan a skill below, or take questions into the paper.
          </p>
        ) : null}
        <div className="mt-4 max-w-xs">
          <TermSelect
            kind="skills"
            label="Plan a further skill"
            value={null}
            onChange={(skill) => {
              if (!skill) return
              if (planned(paper, skill) === null) plan(skill, '2')
              setChosen(skill)
            }}
          />
        </div>
        <div className="mt-4">
          <Fold label="How is this counted?">
            <p className="max-w-2xl text-[15px] text-quiet">
              Over all sections, whichever way a student takes. Expected is the mean credit of first tries at each
              question over all its handouts, weighed by the marks it has here; questions that nobody has answered are
              left out of it. Time is the median of the records, else what such a question usually takes.
            </p>
          </Fold>
        </div>
      </div>
    </Desk>
  )
}

const NOTHING = { entries: [], marks: '0', facility: null, known: 0, seconds: 0, thin: [] }

/** How far what is planned is there, as a bar. */
function Filled({ has, wanted }: { has: string; wanted: string | null }) {
  const of = wanted === null ? 0 : rational(wanted)
  if (!(of > 0)) return null
  return (
    <span aria-hidden className="mt-1 block h-1.5 w-16 border border-r3">
      <span className="block h-full bg-r2" style={{ width: `${Math.min(1, rational(has) / of) * 100}%` }} />
    </span>
  )
}

const OFFERED = 8

function SkillAside({
  row,
  name,
  view,
  paper,
  onTake,
  onChange,
}: {
  row: Row
  name: string
  view: Schemas['PaperPaperView']
  paper: Paper
  onTake: (rows: Item[]) => void
  onChange: (paper: Paper) => void
}) {
  const bank = useQuery({
    queryKey: ['items', 'for a skill', row.skill],
    queryFn: () => take(api.GET('/api/items', { params: { query: { skill: row.skill ?? '' } } })),
    enabled: row.skill !== null,
  })
  const entries = paper.sections.flatMap((s) => s.entries)
  const used = new Set(entries.flatMap((e) => (e.kind === 'question' ? [e.item] : [])))
  const free = bank.data?.items.filter((item) => !used.has(item.id)) ?? []
  return (
    <div className="flex flex-col gap-5">
      <section>
        <h2 className="text-lg">{name}</h2>
        {row.entries.length === 0 ? <p className="text-quiet">No question in this paper yet.</p> : null}
        <ul>
          {row.entries.map((id) => {
            const entry = entries.find((e) => e.id === id)
            if (entry?.kind !== 'question') return null
            return (
              <li key={id} className="flex gap-3 border-b py-1 text-[15px]">
                <span className="min-w-0 flex-1">{view.items[entry.item]?.title || 'Untitled question'}</span>
                <span className="whitespace-nowrap text-quiet">{inMarks(entry.points)}</span>
              </li>
            )
          })}
        </ul>
        {row.skill !== null && planned(paper, row.skill) !== null ? (
          <Button
            kind="quiet"
            size="small"
            className="mt-1 -ml-2"
            onClick={() => row.skill !== null && onChange(withoutPlanned(paper, row.skill))}
          >
            Take it out of the plan
          </Button>
        ) : null}
      </section>
      {row.skill === null ? null : (
        <section>
          <h3 className="text-base">What would fill it?</h3>
          {bank.isPending ? <Loading what="Looking in the bank" /> : null}
          {bank.isError ? <Failed error={bank.error} /> : null}
          {bank.data && free.length === 0 ? (
            <p className="text-[15px] text-quiet">The bank has no other question on it.</p>
          ) : null}
          <ul>
            {free.slice(0, OFFERED).map((item) => (
              <li key={item.id} className="flex items-start gap-2 border-b py-1.5 text-[15px]">
                <span className="min-w-0 flex-1">
                  {item.title}
                  <span className="block text-sm text-quiet">
                    {typeName(item.type)} · {inMarks(item.points)}
                    {item.facility === null ? '' : ` · ${percent(item.facility)} of ${item.students}`}
                  </span>
                </span>
                <Button size="small" aria-label={`Take ${item.title}`} onClick={() => onTake([item])}>
                  Take
                </Button>
              </li>
            ))}
          </ul>
          {free.length > OFFERED ? (
            <p className="mt-1 text-sm text-quiet">and {free.length - OFFERED} others in the bank</p>
          ) : null}
        </section>
      )}
    </div>
  )
}
