import { ask } from '@/lib/queries'
import { isByHand } from '@/answers/registry'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { useNavigate, useParams } from 'react-router'
import { useAddress } from '@/lib/address'
import type { Schemas } from '@/lib/api/client'
import { marks, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Button } from '@/ui/Button'
import { ClassPicker } from '@/ui/ClassPicker'
import { Desk, Head } from '@/ui/Desk'
import { Explained } from '@/ui/Explained'
import { Empty, Failed, Loading } from '@/ui/States'
import { Tabs } from '@/ui/Tabs'
import { Word } from '@/ui/Word'
import { Change } from './Change'
import { Classes } from './Classes'
import { Confusions } from './Confusions'
import { gravest, two } from './figures'
import { Markers } from './Markers'
import { Misconceptions } from './Misconceptions'
import { Pace } from './Pace'
import { ModelPanel, PersonMap } from './PersonMap'
import { QuestionPanel, QuestionTable } from './Questions'
import { Skills } from './Skills'
import { Rungs, Students } from './Students'
import { Watched } from './Watched'

type Results = Schemas['ResultsResultsView']
type Question = Schemas['ResultsQuestionView']
const VIEWS = [
  'questions',
  'confusions',
  'misconceptions',
  'students',
  'skills',
  'pace',
  'classes',
  'change',
  'map',
  'markers',
] as const
type View = (typeof VIEWS)[number]
/** What is told of all students whatever class is looked at. */
const WHOLE: readonly View[] = ['classes', 'change', 'map', 'markers']
const named = (view: View) => view.charAt(0).toUpperCase() + view.slice(1)

export default function ResultsDesk() {
  const { id = '' } = useParams()
  const { at, set } = useAddress()
  const navigate = useNavigate()
  const group = at('class')
  const results = useQuery({
    ...ask.results(id, group),
    placeholderData: keepPreviousData,
  })
  const questions = results.data?.questions ?? []
  // Only open answers have markers who could differ.
  const views = VIEWS.filter((v) => v !== 'markers' || questions.some((q) => isByHand(q.type)))
  const view = views.find((v) => v === at('view')) ?? 'questions'
  const flagged = gravest(questions)
  const rivalled = view === 'confusions' ? results.data?.confusions[0]?.entry : undefined
  const chosen = questions.find((q) => q.entry === (at('q') || rivalled)) ?? flagged ?? questions[0]
  const step = (by: number) => {
    const next = questions[questions.indexOf(chosen as Question) + by]
    if (next) set('q', next.entry)
  }
  useKeys({
    j: { label: 'Next question', run: () => step(1) },
    k: { label: 'Previous question', run: () => step(-1) },
    ...Object.fromEntries(
      views.map((v, i) => [String((i + 1) % 10), { label: named(v), run: () => set('view', v) }] as const),
    ),
    r: {
      label: 'Regroup',
      run: () => void navigate(`/groups/of/${id}${group ? `?class=${encodeURIComponent(group)}` : ''}`),
    },
  })
  if (results.isPending) return <Loading what="Reading the results" />
  if (!results.data) return <Failed error={results.error} retry={() => void results.refetch()} />
  const r = results.data
  const link = 'rounded border border-edge bg-sheet px-3 py-1.5 text-[15px] font-semibold hover:border-ink'
  return (
    <>
      <Head
        title={r.handout.title}
        note={`${group || r.handout.classes.join(', ') || r.handout.group || ''} · ${r.attemptRule} · ${plural(r.students.length, 'student')}${r.doubles > 0 ? `, ${r.doubles} sat more than once` : ''}`}
      >
        <ClassPicker classes={r.handout.classes} value={group} onChange={(name) => set('class', name)} />
        <a className={link} href={`/api/handouts/${id}/marks.csv`} download>
          Marks CSV
        </a>
        <a className={link} href={`/api/handouts/${id}/responses.csv`} download>
          Responses CSV
        </a>
        <Button onClick={() => window.print()}>Print</Button>
        <Button
          kind="do"
          hint="r"
          onClick={() => void navigate(`/groups/of/${id}${group ? `?class=${encodeURIComponent(group)}` : ''}`)}
        >
          Regroup
        </Button>
      </Head>
      {r.students.length === 0 ? (
        <Empty title="Nothing has been handed in yet">
          <p>Results appear with the first work that is handed in.</p>
        </Empty>
      ) : (
        <Desk
          rightLabel="In detail"
          right={
            (view === 'questions' || view === 'confusions') && chosen ? (
              <QuestionPanel key={chosen.entry} q={chosen} handoutId={id} />
            ) : view === 'map' ? (
              <ModelPanel id={id} />
            ) : (
              <Rungs results={r} />
            )
          }
        >
          <div className="px-6 py-4">
            <Figures results={r} />
            <Tabs
              label="What to read"
              value={view}
              onChange={(next) => set('view', next)}
              tabs={views.map((v, i) => ({ value: v, label: named(v), hint: String((i + 1) % 10) }))}
            >
              {group && WHOLE.includes(view) ? (
                <p className="py-2 text-sm text-quiet">This view is of all classes, not of {group} alone.</p>
              ) : null}
              {view === 'questions' ? (
                <QuestionTable questions={questions} chosen={chosen} onChoose={(q) => set('q', q.entry)} />
              ) : view === 'confusions' ? (
                <Confusions confusions={r.confusions} chosen={chosen?.entry} onChoose={(entry) => set('q', entry)} />
              ) : view === 'misconceptions' ? (
                <Misconceptions results={r} />
              ) : view === 'students' ? (
                <Students results={r} />
              ) : view === 'skills' ? (
                <Skills id={id} group={group} />
              ) : view === 'pace' ? (
                <div className="flex flex-col gap-6">
                  <Pace students={r.students} handoutId={id} />
                  <Watched id={id} group={group} />
                </div>
              ) : view === 'classes' ? (
                <Classes id={id} />
              ) : view === 'markers' ? (
                <Markers id={id} />
              ) : view === 'change' ? (
                <Change id={id} since={at('since') || null} onSince={(earlier) => set('since', earlier)} />
              ) : (
                <PersonMap id={id} />
              )}
            </Tabs>
          </div>
        </Desk>
      )}
    </>
  )
}

function Figures({ results: r }: { results: Results }) {
  const big = (value: ReactNode, words: ReactNode) => (
    <p>
      <span className="font-head text-3xl font-semibold tabular-nums">{value}</span>{' '}
      <span className="text-[15px] text-quiet">{words}</span>
    </p>
  )
  const one = (x: number) => x.toFixed(1)
  return (
    <div className="flex flex-wrap gap-x-9 gap-y-1">
      {r.mean.value === null
        ? null
        : big(
            <Explained figure={r.mean} label="Mean" show={one}>
              {one(r.mean.value)}
            </Explained>,
            `mean of ${r.points}`,
          )}
      {r.median.value === null
        ? null
        : big(
            <Explained figure={r.median} label="Median" show={one}>
              {marks(r.median.value)}
            </Explained>,
            'median',
          )}
      {r.sd.value === null
        ? null
        : big(
            <Explained figure={r.sd} label="Spread" show={one}>
              {one(r.sd.value)}
            </Explained>,
            <>
              <Word of="spread" /> (SD)
            </>,
          )}
      {r.quartiles.low === null || r.quartiles.high === null
        ? null
        : big(
            <Explained
              figure={r.quartiles}
              label="Middle half"
              show={marks}
            >{`${marks(r.quartiles.low)}–${marks(r.quartiles.high)}`}</Explained>,
            'middle half',
          )}
      {r.alpha.value === null
        ? null
        : big(
            <Explained figure={r.alpha} label="Reliability" show={two}>
              {two(r.alpha.value)}
            </Explained>,
            <>
              <Word of="reliability" /> α{r.alpha.note === 'few' ? ', few' : ''}
              {r.sem.value === null ? '' : `, a mark is sure to ±${one(1.96 * r.sem.value)}`}
            </>,
          )}
      {r.waiting > 0 ? big(r.waiting, 'answers wait for a marker and do not count yet') : null}
    </div>
  )
}
