import { useQuery } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { marks, percent, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { Explained } from '@/ui/Explained'
import { Ladder } from '@/ui/Ladder'
import { Empty, Failed, Loading } from '@/ui/States'
import { Distribution, OptionLines, Whisker } from './Charts'

type Results = Schemas['ResultsResultsView']
type Question = Schemas['ResultsQuestionView']
const VIEWS = ['questions', 'misconceptions', 'students'] as const
const two = (x: number) => x.toFixed(2).replace('-', '−')

export default function ResultsDesk() {
  const { id = '' } = useParams()
  const [params, setParams] = useSearchParams()
  const navigate = useNavigate()
  const results = useQuery({
    queryKey: ['results', id],
    queryFn: () => take(api.GET('/api/handouts/{id}/results', { params: { path: { id } } })),
  })
  const view = VIEWS.find((v) => v === params.get('view')) ?? 'questions'
  const questions = results.data?.questions ?? []
  const flagged = questions.find((q) => q.flags.some((f) => f.kind !== 'few'))
  const chosen = questions.find((q) => q.entry === params.get('q')) ?? flagged ?? questions[0]
  const set = (name: string, value: string) =>
    setParams((old) => new URLSearchParams({ ...Object.fromEntries(old), [name]: value }), { replace: true })
  const step = (by: number) => {
    const next = questions[questions.indexOf(chosen as Question) + by]
    if (next) set('q', next.entry)
  }
  useKeys({
    j: { label: 'Next question', run: () => step(1) },
    k: { label: 'Previous question', run: () => step(-1) },
    '1': { label: 'Questions', run: () => set('view', 'questions') },
    '2': { label: 'Misconceptions', run: () => set('view', 'misconceptions') },
    '3': { label: 'Students', run: () => set('view', 'students') },
    r: { label: 'Regroup', run: () => void navigate(`/groups/of/${id}`) },
  })
  if (results.isPending) return <Loading what="Reading the results" />
  if (results.isError) return <Failed error={results.error} retry={() => void results.refetch()} />
  const r = results.data
  const link = 'rounded border border-edge/60 bg-sheet px-3 py-1.5 text-[15px] font-semibold hover:border-ink'
  return (
    <>
      <Head
        title={r.handout.title}
        note={`${r.handout.classes.join(', ') || r.handout.group || ''} · ${r.attemptRule} · ${plural(r.students.length, 'student')}${r.doubles > 0 ? `, ${r.doubles} sat more than once` : ''}`}
      >
        <a className={link} href={`/api/handouts/${id}/marks.csv`} download>
          Marks CSV
        </a>
        <a className={link} href={`/api/handouts/${id}/responses.csv`} download>
          Responses CSV
        </a>
        <Button onClick={() => window.print()}>Print</Button>
        <Button kind="do" hint="r" onClick={() => void navigate(`/groups/of/${id}`)}>
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
            view === 'questions' && chosen ? (
              <QuestionPanel key={chosen.entry} q={chosen} handoutId={id} />
            ) : (
              <Rungs results={r} />
            )
          }
        >
          <div className="px-6 py-4">
            <Figures results={r} />
            <div role="group" aria-label="What to read" className="mt-4 flex gap-5 border-b pb-1 text-[15px]">
              {VIEWS.map((v, i) => (
                <button
                  key={v}
                  aria-pressed={view === v}
                  className={
                    view === v
                      ? 'font-bold underline decoration-rust decoration-4 underline-offset-[7px]'
                      : 'text-quiet hover:text-ink'
                  }
                  title={`Key: ${i + 1}`}
                  onClick={() => set('view', v)}
                >
                  {v === 'questions' ? 'Questions' : v === 'misconceptions' ? 'Misconceptions' : 'Students'}
                </button>
              ))}
            </div>
            {view === 'questions' ? (
              <QuestionTable questions={questions} chosen={chosen} onChoose={(q) => set('q', q.entry)} />
            ) : view === 'misconceptions' ? (
              <Misconceptions results={r} />
            ) : (
              <Students results={r} />
            )}
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
            'spread (SD)',
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
      {r.waiting > 0 ? big(r.waiting, 'answers wait for a marker and do not count yet') : null}
    </div>
  )
}

function QuestionTable({
  questions,
  chosen,
  onChoose,
}: {
  questions: Question[]
  chosen: Question | undefined
  onChoose: (q: Question) => void
}) {
  return (
    <table className="w-full text-[15px]">
      <thead>
        <tr className="border-b text-left text-sm text-quiet">
          <th className="py-1.5 pl-4 font-medium">#</th>
          <th className="px-2 font-medium">Question</th>
          <th className="px-2 font-medium">Facility, with 95 %</th>
          <th className="px-2 text-right font-medium" title="Item–rest correlation">
            r
          </th>
          <th className="px-2 text-right font-medium">Blank</th>
          <th className="px-2 font-medium">To look at</th>
        </tr>
      </thead>
      <tbody>
        {questions.map((q) => (
          <tr
            key={q.entry}
            className={`cursor-pointer border-b ${q === chosen ? 'bg-sheet' : 'hover:bg-pale'}`}
            onClick={() => onChoose(q)}
          >
            <td className={`py-1.5 pl-4 tabular-nums ${q === chosen ? 'rung-row' : ''}`}>{q.number}</td>
            <td className="px-2">
              <button className={`text-left hover:underline ${q === chosen ? 'font-bold' : ''}`}>{q.title}</button>
            </td>
            <td className="px-2 whitespace-nowrap">
              <Whisker figure={q.facility} />{' '}
              {q.facility.value === null ? (
                <span className="text-quiet">–</span>
              ) : (
                <Explained figure={q.facility} label={`Facility of question ${q.number}`} show={two}>
                  <span className="tabular-nums">{two(q.facility.value)}</span>
                </Explained>
              )}
              {q.facility.note === 'few' ? <span className="text-quiet"> few</span> : null}
            </td>
            <td className="px-2 text-right">
              {q.itemRest.value === null ? (
                <span className="text-quiet">–</span>
              ) : (
                <Explained figure={q.itemRest} label={`Item–rest correlation of question ${q.number}`} show={two}>
                  <span className="tabular-nums">{two(q.itemRest.value)}</span>
                </Explained>
              )}
            </td>
            <td className="px-2 text-right tabular-nums">{q.omitted || ''}</td>
            <td className="px-2">
              {q.flags.map((f) => (
                <span
                  key={f.kind}
                  className={`mr-3 font-semibold ${f.kind === 'perhaps mis-keyed' ? 'text-bad' : 'text-blue'}`}
                >
                  {f.kind}
                </span>
              ))}
              {q.waiting > 0 ? <span className="font-semibold text-blue">{q.waiting} wait for a marker</span> : null}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function QuestionPanel({ q, handoutId }: { q: Question; handoutId: string }) {
  const link = 'rounded border border-edge/60 bg-sheet px-3 py-1.5 text-[15px] font-semibold hover:border-ink'
  return (
    <section className="flex flex-col gap-3">
      <div>
        <h2 className="text-lg">
          {q.number} · {q.title}
        </h2>
        <p className="text-sm text-quiet">
          {q.options.length > 0
            ? 'Which options rival the key, and among whom?'
            : q.type === 'open'
              ? 'Marked by hand'
              : 'What did they answer?'}
        </p>
      </div>
      {q.options.length > 0 ? (
        <>
          <OptionLines options={q.options} />
          <table className="w-full text-sm">
            <thead>
              <tr className="border-b text-left text-quiet">
                <th className="font-medium">Option</th>
                <th className="px-1 text-right font-medium">All</th>
                <th className="px-1 text-right font-medium">Low</th>
                <th className="px-1 text-right font-medium">Mid</th>
                <th className="pl-1 text-right font-medium">Up</th>
              </tr>
            </thead>
            <tbody>
              {q.options.map((o) => (
                <tr key={o.id} className="border-b align-top">
                  <td className="py-1 pr-1">
                    <b>{o.letter}</b> {o.text}
                    {o.key ? <span className="text-good"> ✓ key</span> : null}
                    {o.misconception ? <span className="block text-blue">{o.misconception}</span> : null}
                    {o.works === false && o.count === 0 ? (
                      <span className="block text-quiet">idle: nobody took it</span>
                    ) : null}
                  </td>
                  <td className="px-1 text-right whitespace-nowrap tabular-nums">
                    {percent(o.share)}
                    <span className="block text-quiet">{o.count}</span>
                  </td>
                  <td className="px-1 text-right whitespace-nowrap tabular-nums">{percent(o.lower)}</td>
                  <td className="px-1 text-right whitespace-nowrap tabular-nums">{percent(o.middle)}</td>
                  <td className="pl-1 text-right whitespace-nowrap tabular-nums">{percent(o.upper)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      ) : q.lines.length > 0 ? (
        <ul className="text-[15px]">
          {q.lines.map((line) => (
            <li key={line.answer + line.verdict} className="flex gap-2 border-b py-1">
              <span className="min-w-0 flex-1 break-words">{line.answer}</span>
              <span className={line.verdict === 'right' ? 'text-good' : 'text-quiet'}>
                {line.verdict === 'right' ? '✓ ' : ''}
                {line.verdict}
              </span>
              <b className="w-8 text-right tabular-nums">{line.count}</b>
            </li>
          ))}
        </ul>
      ) : null}
      {q.flags.map((f) => (
        <p key={f.kind} className="text-[15px]">
          <b className={f.kind === 'perhaps mis-keyed' ? 'text-bad' : ''}>
            {f.kind.charAt(0).toUpperCase() + f.kind.slice(1)}?
          </b>{' '}
          {f.evidence}
        </p>
      ))}
      {q.notReached > 0 ? <p className="text-[15px]">{plural(q.notReached, 'student')} did not reach it.</p> : null}
      <div className="no-print flex flex-wrap gap-2">
        <Link className={link} to={`/marking/${handoutId}/${q.entry}`}>
          {q.type === 'open' ? 'Mark the answers' : 'See the answers'}
        </Link>
        {q.type !== 'open' ? (
          <Link className={link} to={`/marking/${handoutId}/${q.entry}?key=1`}>
            Change key
          </Link>
        ) : null}
      </div>
      {q.options.length > 0 ? (
        <p className="text-sm text-quiet">
          How was this computed? Thirds by the share of marks on the other questions; ties are split fairly. First tries
          count.
        </p>
      ) : null}
    </section>
  )
}

function Rungs({ results: r }: { results: Results }) {
  const n = r.students.length
  return (
    <section className="flex flex-col gap-6">
      <Distribution bins={r.bins} />
      <div>
        <h2 className="text-lg">Who is on which rung?</h2>
        <ul className="mt-1">
          {[...r.rungs].reverse().map((rung) => (
            <li key={rung.name} className="flex items-center gap-3 border-b py-2">
              <Ladder reached={r.rungs.indexOf(rung) + 1} of={r.rungs.length} name={rung.name} />
              <span className="flex-1">
                {rung.name} <span className="text-sm text-quiet">from {percent(rung.from)}</span>
              </span>
              <span className="tabular-nums">
                {rung.students} <span className="text-quiet">({percent(n > 0 ? rung.students / n : 0)})</span>
              </span>
            </li>
          ))}
        </ul>
        <p className="mt-2 text-sm text-quiet">
          By the share of the marks of the questions that each student’s way led to, n = {n}.
        </p>
      </div>
    </section>
  )
}

function Misconceptions({ results: r }: { results: Results }) {
  const [open, setOpen] = useState<string | null>(r.misconceptions[0]?.id ?? null)
  if (r.misconceptions.length === 0)
    return <p className="py-4 text-quiet">No answer showed a misconception that a question names.</p>
  return (
    <ul>
      {r.misconceptions.map((m) => (
        <li key={m.id} className="border-b py-2">
          <button
            className="flex w-full items-baseline gap-3 text-left"
            aria-expanded={open === m.id}
            onClick={() => setOpen(open === m.id ? null : m.id)}
          >
            <b className="flex-1">{m.name}</b>
            <span className="text-[15px] tabular-nums">
              {m.likely > 0 ? `likely with ${m.likely}, ` : ''}shown by {m.students.length} of {r.students.length}
            </span>
          </button>
          {open === m.id ? (
            <>
              {m.nextStep ? <p className="text-[15px] text-quiet">Next: {m.nextStep}</p> : null}
              <table className="mt-1 text-[15px]">
                <thead>
                  <tr className="text-left text-sm text-quiet">
                    <th className="pr-6 font-medium">Student</th>
                    <th className="pr-6 font-medium">Shown</th>
                    <th className="font-medium">Rate, with 95 %</th>
                  </tr>
                </thead>
                <tbody>
                  {m.students.map((s) => (
                    <tr key={s.studentId}>
                      <td className="pr-6">
                        {s.name} {s.likely ? <span className="text-blue">likely</span> : null}
                      </td>
                      <td className="pr-6 tabular-nums">
                        {s.shown} of {s.offered}
                      </td>
                      <td className="whitespace-nowrap">
                        <Whisker figure={s.rate} />{' '}
                        {s.rate.value === null ? null : (
                          <Explained figure={s.rate} label={`How likely ${s.name} follows this idea`} show={two}>
                            <span className="tabular-nums">{two(s.rate.value)}</span>
                          </Explained>
                        )}
                        {s.rate.note === 'few' ? <span className="text-quiet"> few</span> : null}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
          ) : null}
        </li>
      ))}
    </ul>
  )
}

function Students({ results: r }: { results: Results }) {
  return (
    <table className="w-full max-w-2xl text-[15px]">
      <thead>
        <tr className="border-b text-left text-sm text-quiet">
          <th className="py-1.5 font-medium">Student</th>
          <th className="px-2 font-medium">Rung</th>
          <th className="px-2 text-right font-medium">Marks</th>
          <th className="px-2 font-medium">Attempts</th>
          <th className="px-2 font-medium">State</th>
        </tr>
      </thead>
      <tbody>
        {r.students.map((s) => (
          <tr key={s.studentId} className="border-b">
            <td className="py-1 font-semibold">{s.name}</td>
            <td className="px-2">
              <Ladder reached={s.rung} of={r.rungs.length} name={r.rungs[s.rung - 1]?.name ?? ''} />
            </td>
            <td className="px-2 text-right tabular-nums">
              {marks(s.marks)} of {marks(s.of)}
            </td>
            <td className="px-2">
              {s.others.length > 0 ? `attempt ${s.attempt} counts; others ${s.others.map(marks).join(', ')}` : ''}
            </td>
            <td className="px-2 text-quiet">{s.state}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
