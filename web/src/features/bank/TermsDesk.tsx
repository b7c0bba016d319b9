import { useQuery } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useAddress, useLeafing } from '@/lib/address'
import { api, take, type Schemas } from '@/lib/api/client'
import { percent, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { useTerms } from '@/lib/terms'
import { Button } from '@/ui/Button'
import { Whisker } from '@/ui/chart/small'
import { Desk, Head } from '@/ui/Desk'
import { Explained } from '@/ui/Explained'
import { Pick } from '@/ui/Pick'
import { Rows } from '@/ui/Rows'
import { Empty, Failed, Loading } from '@/ui/States'
import { useListed, type Column } from '@/ui/table'
import { TermDialog } from '@/ui/TermDialog'
import { inTree, type Kind, type Placed, type Term } from '@/lib/termTree'
import { TheSame } from './TheSame'

const KINDS = [
  { value: 'skills', label: 'Skills' },
  { value: 'misconceptions', label: 'Wrong ideas' },
] as const

/** The team's skills as a tree and its wrong ideas, each with what students have shown of it; named, placed, put together. */
export default function TermsDesk() {
  const { at, set } = useAddress()
  const kind: Kind = at('kind') === 'misconceptions' ? 'misconceptions' : 'skills'
  const terms = useTerms()
  const records = useQuery({
    queryKey: ['terms', 'records'],
    queryFn: () => take(api.GET('/api/bank/terms/records')),
  })
  const [asked, setAsked] = useState<'new' | 'change' | null>(null)
  const all = terms.data?.[kind]
  const rows = useMemo(() => inTree(all ?? []), [all])
  const figures = useMemo(() => new Map(records.data?.records.map((r) => [r.id, r.figure])), [records.data])
  const idea = kind === 'misconceptions'
  const columns = useMemo<Column<Placed>[]>(
    () => [
      {
        id: 'name',
        head: idea ? 'What the student thinks' : 'Skill',
        cell: (term) => <span style={{ paddingInlineStart: `${term.depth * 1.5}rem` }}>{term.name}</span>,
      },
      { id: 'questions', head: 'Questions', cell: (term) => term.found || '–', right: true },
      {
        id: 'record',
        head: idea ? 'Shown by' : 'Right so far',
        cell: (term) => <Record figure={figures.get(term.id)} label={term.name} />,
      },
    ],
    [idea, figures],
  )
  const listed = useListed(rows, columns, { by: '', down: false }, () => undefined, true)
  const chosen = rows.find((term) => term.id === at('open')) ?? rows[0]
  const { goTo, step } = useLeafing(rows, chosen?.id, (id) => set('open', id))
  useKeys({
    j: { label: 'Next', run: () => step(1) },
    k: { label: 'Previous', run: () => step(-1) },
    n: { label: idea ? 'New wrong idea' : 'New skill', run: () => setAsked('new') },
    c: { label: 'Change the chosen one', run: () => chosen && setAsked('change') },
  })
  return (
    <>
      <Head
        title="Skills and wrong ideas"
        note={all ? (idea ? plural(rows.length, 'wrong idea') : plural(rows.length, 'skill')) : ''}
      >
        <Pick label="Which" options={KINDS} value={kind} onChange={(value) => set('kind', value)} />
        <Link to="/bank" className="font-semibold text-blue underline">
          Back to bank
        </Link>
        <Button kind="do" hint="n" onClick={() => setAsked('new')}>
          {idea ? 'New wrong idea' : 'New skill'}
        </Button>
      </Head>
      <Desk
        rightLabel={idea ? 'The wrong idea' : 'The skill'}
        right={
          chosen && all ? (
            <div className="flex flex-col gap-5 text-[15px]">
              <div>
                <div className="flex items-start gap-3">
                  <h2 className="min-w-0 flex-1 text-lg">{chosen.name}</h2>
                  <Button size="small" hint="c" onClick={() => setAsked('change')}>
                    Change
                  </Button>
                </div>
                <Said kind={kind} term={chosen} figure={figures.get(chosen.id)} />
              </div>
              {idea ? (
                <dl className="flex flex-col gap-2">
                  <Words what="What it looks like" words={chosen.looksLike} />
                  <Words what="What to do next" words={chosen.nextStep} />
                </dl>
              ) : null}
              <Questions kind={kind} term={chosen} />
              <TheSame key={chosen.id} kind={kind} term={chosen} all={all} onDone={goTo} />
            </div>
          ) : undefined
        }
      >
        {terms.isPending ? <Loading what="Reading the names" /> : null}
        {terms.isError ? <Failed error={terms.error} retry={() => void terms.refetch()} /> : null}
        {records.isError ? <Failed error={records.error} retry={() => void records.refetch()} /> : null}
        {all?.length === 0 ? (
          <Empty title={idea ? 'No wrong idea yet' : 'No skill yet'}>
            <p>
              {idea
                ? 'Name one here, or beside an option as you write a question.'
                : 'Name one here, or beside a question as you write it.'}
            </p>
          </Empty>
        ) : null}
        {rows.length > 0 ? (
          <Rows
            label={idea ? 'Wrong ideas of the team' : 'Skills of the team'}
            list={listed}
            to={(term) => questionsOf(kind, term)}
            chosen={chosen?.id}
            onChoose={goTo}
          />
        ) : null}
      </Desk>
      {asked ? (
        <TermDialog
          kind={kind}
          term={asked === 'change' ? chosen : null}
          onClose={() => setAsked(null)}
          onMade={goTo}
        />
      ) : null}
    </>
  )
}

const questionsOf = (kind: Kind, term: Term) => `/bank?${kind === 'skills' ? 'skill' : 'misconception'}=${term.id}`

function Record({ figure, label }: { figure: Schemas['ResultsFigureView'] | undefined; label: string }) {
  if (!figure) return <span className="text-quiet">…</span>
  if (figure.value === null) return <span className="text-quiet">nobody yet</span>
  return (
    <span className="flex items-center gap-3 whitespace-nowrap tabular-nums">
      <span className="max-md:hidden">
        <Whisker figure={figure} />
      </span>
      <Explained figure={figure} label={label} show={percent}>
        {percent(figure.value)}
      </Explained>
      <span className="text-quiet">of {figure.n}</span>
    </span>
  )
}

/** What is known of it, in one sentence. */
function Said({ kind, term, figure }: { kind: Kind; term: Placed; figure: Schemas['ResultsFigureView'] | undefined }) {
  const value = figure?.value ?? null
  const questions = (
    <Link to={questionsOf(kind, term)} className="text-blue underline">
      {plural(term.found, 'question')}
    </Link>
  )
  if (term.found === 0 && value === null) return <p className="mt-1 text-quiet">No question names it yet.</p>
  return (
    <p className="mt-1">
      {value === null || !figure ? (
        <>In {questions}; nobody has answered one yet.</>
      ) : kind === 'skills' ? (
        <>
          {plural(figure.n, 'student')} earned {percent(value)} of the credit; {questions} in the bank.
        </>
      ) : (
        <>
          Shown by {percent(value)} of {plural(figure.n, 'student')} who could have; {questions} in the bank.
        </>
      )}
    </p>
  )
}

const SHOWN = 8

/** The questions that name it or what stands below it, with what became of each. */
function Questions({ kind, term }: { kind: Kind; term: Placed }) {
  const query = kind === 'skills' ? { skill: term.id } : { misconception: term.id }
  const found = useQuery({
    queryKey: ['items', query],
    queryFn: () => take(api.GET('/api/items', { params: { query } })),
    enabled: term.found > 0,
  })
  const items = found.data?.items ?? []
  return items.length === 0 ? null : (
    <section>
      <h3 className="text-base">Its questions</h3>
      <ul>
        {items.slice(0, SHOWN).map((item) => (
          <li key={item.id} className="flex gap-3 border-b py-1">
            <Link to={`/bank/${item.id}`} className="min-w-0 flex-1 text-blue underline">
              {item.title}
            </Link>
            <span className="text-quiet tabular-nums">
              {item.facility === null ? 'not sat yet' : `${percent(item.facility)} of ${item.students}`}
            </span>
          </li>
        ))}
      </ul>
      {items.length > SHOWN ? (
        <Link to={questionsOf(kind, term)} className="text-blue underline">
          All {term.found}
        </Link>
      ) : null}
    </section>
  )
}

function Words({ what, words }: { what: string; words: string }) {
  return (
    <div>
      <dt className="font-semibold">{what}</dt>
      <dd className={words === '' ? 'text-quiet' : ''}>{words || 'not written yet'}</dd>
    </div>
  )
}
