import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { decimal, duration, hundredths, percent, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Button } from '@/ui/Button'
import { Desk } from '@/ui/Desk'
import { Fold } from '@/ui/Fold'
import { SelectField } from '@/ui/Select'
import { Failed } from '@/ui/States'
import { DefectLine } from './DefectLine'
import type { Paper } from './draft'
import { RouteMap, type Chosen } from './RouteMap'
import { SectionWays } from './SectionWays'
import { useRehearsal } from './useRehearsal'
import { WayFlow } from './WayFlow'
import { nameOf, waysOf, withWay } from './ways'

const STUDENTS = 1000

/** The paper's routes: as a map with the made-up students that flow through it, and as a list that says the same. */
export function RouteDesk({
  paperId,
  paper,
  view,
  saved,
  start,
  onChange,
}: {
  paperId: string
  paper: Paper
  view: Schemas['PaperPaperView']
  /** what is on the desk is what the server has */
  saved: boolean
  start: string | null
  onChange: (paper: Paper) => void
}) {
  const [chosen, setChosen] = useState<Chosen | null>(() => {
    const id = paper.sections.some((s) => s.id === start) ? start : paper.sections[0]?.id
    return id ? { section: id, at: null } : null
  })
  const [round, setRound] = useState(7)
  const { proof } = view
  const rehearsal = useRehearsal(paperId, view.version, {
    students: STUDENTS,
    round,
    enabled: saved && proof.mostQuestions > 0,
  })
  const found = proof.mostQuestions > 0 ? rehearsal.data : undefined
  const section = paper.sections.find((s) => s.id === chosen?.section) ?? paper.sections[0]
  const ways = section ? waysOf(paper, section) : []
  const at = chosen?.section === section?.id ? (chosen?.at ?? null) : null
  const check = found?.routes.find((r) => r.sectionId === section?.id)
  const step = (by: number) => {
    const places = paper.sections.flatMap((s): Chosen[] => [
      { section: s.id, at: null },
      ...(s.route ? waysOf(paper, s).map((way) => ({ section: s.id, at: way.at })) : []),
    ])
    const now = places.findIndex((p) => p.section === chosen?.section && p.at === chosen.at)
    const next = places[Math.max(0, Math.min(places.length - 1, now + by))]
    if (next) setChosen(next)
  }
  useKeys({
    j: { label: 'Next section or way', run: () => step(1) },
    k: { label: 'Previous section or way', run: () => step(-1) },
    r: { label: 'Let other students sit it', run: () => setRound(round + 1) },
  })
  return (
    <Desk
      rightLabel="Ways on"
      right={
        section ? (
          <div className="flex flex-col gap-5">
            {paper.sections.length > 1 ? (
              <SelectField
                label="After"
                value={section.id}
                onChange={(id) => setChosen({ section: id, at: null })}
                options={paper.sections.map((s) => ({ value: s.id, label: nameOf(paper, s.id) }))}
              />
            ) : null}
            <SectionWays
              paper={paper}
              section={section}
              exits={proof.exits.find((e) => e.section === section.id)?.exits ?? []}
              at={at}
              onChoose={(way) => setChosen({ section: section.id, at: way })}
              onChange={onChange}
            />
            {check && ways.length > 1 ? (
              <WayFlow
                check={check}
                at={at ?? 0}
                onCut={(share) => onChange(withWay(paper, section, 0, { when: `share < ${share}` }))}
              />
            ) : null}
          </div>
        ) : null
      }
    >
      <div className="flex h-full flex-col">
        <div className="h-[420px] shrink-0 lg:h-auto lg:min-h-64 lg:flex-1">
          <RouteMap paper={paper} proof={proof} found={found} chosen={chosen} onChoose={setChosen} />
        </div>
        <div className="max-h-[50%] shrink-0 overflow-auto border-t px-5 py-3">
          {rehearsal.isError ? <Failed error={rehearsal.error} retry={() => void rehearsal.refetch()} /> : null}
          {found ? <Ways paper={paper} found={found} chosen={chosen} /> : null}
          <Proved proof={proof} onGo={(id) => setChosen({ section: id, at: null })} paper={paper} onChange={onChange} />
          {found ? (
            <div className="mt-1 flex flex-wrap items-baseline gap-3">
              <Button size="small" disabled={rehearsal.isFetching} hint="r" onClick={() => setRound(round + 1)}>
                {rehearsal.isFetching ? 'They are sitting it …' : 'Let others sit it'}
              </Button>
              <Fold label={`How was this computed? ${STUDENTS} made-up students, round ${round}`}>
                <p className="max-w-2xl text-[15px] text-quiet">
                  Which exits can be taken is found over all patterns of marks that the section’s questions can give
                  together. The students’ abilities follow a standard normal curve; difficulty and time come from the
                  bank’s records where there are any ({found.known} of {plural(found.questions, 'question')}). Somebody
                  is misplaced who is sent another way than answers without luck would send them. Ranges are 95 %
                  intervals (Wilson). <i>Rehearse</i> on the questions’ desk says more.
                </p>
              </Fold>
            </div>
          ) : null}
        </div>
      </div>
    </Desk>
  )
}

const span = (least: number, most: number) => (least === most ? String(least) : `${least}–${most}`)

function Ways({ paper, found, chosen }: { paper: Paper; found: Schemas['PaperRehearsalView']; chosen: Chosen | null }) {
  const target =
    chosen?.at != null
      ? waysOf(
          paper,
          paper.sections.find((s) => s.id === chosen.section)!,
        )[chosen.at]?.to
      : null
  const through = (sections: string[]) =>
    chosen?.at != null && sections.some((id, i) => id === chosen.section && (sections[i + 1] ?? 'end') === target)
  return (
    <table className="w-full text-[15px]">
      <caption className="sr-only">The ways that made-up students took through the paper</caption>
      <thead>
        <tr className="text-left text-sm text-quiet">
          {['Way', 'Students', 'Questions', 'Marks on offer', 'Half are done in', 'Nine in ten in'].map((head) => (
            <th key={head} scope="col" className="border-b py-1 pr-4 font-semibold">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {found.ways.slice(0, 12).map((way) => (
          <tr
            key={way.sections.join(' ')}
            className={`border-b ${through(way.sections) ? 'bg-sheet font-semibold' : ''}`}
          >
            <th
              scope="row"
              className={`py-1 pr-4 pl-4 text-left font-[inherit] ${through(way.sections) ? 'rung-row' : 'font-normal'}`}
            >
              {way.way}
            </th>
            <td className="pr-4 whitespace-nowrap tabular-nums">
              {percent(way.students.share)}
              <span className="font-normal text-quiet">
                , {hundredths(way.students.low)}–{hundredths(way.students.high)}
              </span>
            </td>
            <td className="pr-4 tabular-nums">{span(way.leastQuestions, way.mostQuestions)}</td>
            <td className="pr-4 tabular-nums">{decimal(way.points)}</td>
            <td className="pr-4 whitespace-nowrap">{duration(way.half)}</td>
            <td className="whitespace-nowrap">{duration(way.most)}</td>
          </tr>
        ))}
        {found.ways.length > 12 ? (
          <tr>
            <td colSpan={6} className="py-1 pl-2 text-quiet">
              and {found.ways.length - 12} ways that{' '}
              {found.ways.slice(12).reduce((sum, way) => sum + way.students.count, 0)} of {found.students} took
            </td>
          </tr>
        ) : null}
      </tbody>
    </table>
  )
}

/** What the proof says of the routes, each line with the way to its place. */
function Proved({
  proof,
  paper,
  onGo,
  onChange,
}: {
  proof: Schemas['PaperProofView']
  paper: Paper
  onGo: (section: string) => void
  onChange: (paper: Paper) => void
}) {
  const places = new Set(paper.sections.map((s) => s.id))
  const lines = proof.defects.filter((d) => places.has(d.where))
  const branches = proof.exits.flatMap((e) => e.exits)
  const patterns = proof.exits.reduce((sum, e) => sum + (e.exits[0]?.patterns ?? 0), 0)
  return (
    <div className="py-2 text-[15px]">
      {lines.map((d, i) => (
        <p key={i}>
          <DefectLine defect={d} paper={paper} onGo={onGo} onChange={onChange} />
        </p>
      ))}
      {lines.some((d) => d.blocks) ? null : (
        <p className="text-quiet">
          ✓ Every section is reached, every way ends
          {branches.length > 0
            ? ` · ${branches.every((e) => e.exact) ? 'proved over all' : 'looked at'} ${patterns} patterns of marks`
            : ''}
          .
        </p>
      )}
    </div>
  )
}
