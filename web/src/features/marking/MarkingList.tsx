import { useQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { ask } from '@/lib/queries'
import type { Schemas } from '@/lib/api/client'
import { useAddress, useLeafing } from '@/lib/address'
import { moment, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Rich } from '@/lib/Rich'
import { sortingOf, sortingText } from '@/lib/sorting'
import { Button } from '@/ui/Button'
import { Aside, Facts } from '@/ui/Aside'
import { Desk, Head } from '@/ui/Desk'
import { Rows } from '@/ui/Rows'
import { later } from '@/ui/later'
import { Share } from '@/ui/Share'
import { Empty, Failed, Loading } from '@/ui/States'
import { useListed, type Column } from '@/ui/table'

// An act of now and then, fetched when it is asked for.
const ReturnDialog = later(() => import('./ReturnDialog').then((it) => it.ReturnDialog))

type Waiting = Schemas['MarkingWaitingView'] & { id: string }

/** What waits for a marker, and what is ready to go back to students; the chosen question at its right. */
export default function MarkingList() {
  const list = useQuery(ask.marking())
  const [params, setParams] = useSearchParams()
  const { at, set } = useAddress()
  const handouts = list.data?.handouts ?? []
  const returning = handouts.find((h) => h.handoutId === params.get('return'))
  const questions: Waiting[] = (list.data?.questions ?? []).map((q) => ({ ...q, id: `${q.handoutId}.${q.entry}` }))
  const replies = list.data?.replies ?? []
  const sorting = sortingOf(at('sort'), { by: '', down: false })
  const shown = useListed(questions, COLUMNS, sorting, (next) => set('sort', sortingText(next)))
  const rows = shown.rows
  const chosen = rows.find((q) => q.id === at('open')) ?? rows.find((q) => q.waiting > 0) ?? rows[0]
  const { goTo, step } = useLeafing(rows, chosen?.id, (id) => set('open', id))
  useKeys({
    j: { label: 'Next question', run: () => step(1) },
    k: { label: 'Previous question', run: () => step(-1) },
  })
  return (
    <>
      <Head title="Marking" note={list.data ? `${plural(list.data.waiting, 'answer')} waiting` : ''} />
      <Desk rightLabel="The chosen question" right={chosen ? <WaitingAside key={chosen.id} of={chosen} /> : undefined}>
        {list.isPending ? <Loading /> : null}
        {list.isError && !list.data ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
        {list.data && questions.length === 0 && handouts.length === 0 && replies.length === 0 ? (
          <Empty title="Nothing waits for a marker">
            <p>Open answers appear here as soon as work is handed in.</p>
          </Empty>
        ) : null}
        {rows.length > 0 ? (
          <section aria-labelledby="to-mark">
            <h2 id="to-mark" className="px-6 pt-4 text-lg">
              To mark
            </h2>
            <Rows
              label="Questions that a person marks"
              list={shown}
              to={(q) => `/marking/${q.handoutId}/${q.entry}`}
              chosen={chosen?.id}
              onChoose={goTo}
            />
          </section>
        ) : null}
        {replies.length > 0 ? <Replies replies={replies} /> : null}
        {handouts.length > 0 ? (
          <Handouts handouts={handouts} onReturn={(id) => setParams({ return: id }, { replace: true })} />
        ) : null}
      </Desk>
      {returning ? (
        <ReturnDialog
          handoutId={returning.handoutId}
          title={returning.handout}
          onClose={() => setParams({}, { replace: true })}
        />
      ) : null}
    </>
  )
}

const COLUMNS: readonly Column<Waiting>[] = [
  {
    id: 'question',
    head: 'Question',
    cell: (q) => `${q.number} ${q.question}`,
    under: (q) => `${q.handout} · ${q.classes.join(', ')}`,
    sort: (q) => q.question,
  },
  {
    id: 'waiting',
    head: 'Waits',
    cell: (q) => (q.waiting > 0 ? <b>{q.waiting} wait</b> : <span className="text-good">✓ marked</span>),
    sort: (q) => q.waiting,
    right: true,
  },
  {
    id: 'done',
    head: 'Marked',
    cell: (q) => <Share n={q.answers - q.waiting} of={q.answers} />,
    sort: (q) => (q.answers - q.waiting) / Math.max(1, q.answers),
    wide: true,
  },
]

/** A question beside the list: what is asked, how far it is, and which answers stand together. */
function WaitingAside({ of }: { of: Waiting }) {
  const desk = useQuery(ask.desk(of.handoutId, of.entry, false))
  const sets = desk.data?.sets.slice(0, 5) ?? []
  return (
    <Aside
      title={`${of.number} ${of.question}`}
      note={`${of.handout} · ${of.classes.join(', ')}`}
      to={`/marking/${of.handoutId}/${of.entry}`}
      way="Mark"
    >
      {desk.isPending ? <Loading what="Laying out the answers" /> : null}
      {desk.isError && !desk.data ? <Failed error={desk.error} retry={() => void desk.refetch()} /> : null}
      {desk.data ? (
        <>
          <Rich html={desk.data.item.prompt} className="text-base" />
          <Facts
            of={[
              ['Waits', of.waiting],
              ['Marked', `${of.answers - of.waiting} of ${of.answers}`],
            ]}
          />
          <section>
            <h3 className="text-base">Which answers are alike?</h3>
            <ul>
              {sets.map((one) => (
                <li key={one.answers[0]} className="flex gap-3 border-b py-1.5">
                  <span className="line-clamp-2 min-w-0 flex-1">{one.label}</span>
                  <span className="text-quiet tabular-nums">{one.answers.length}</span>
                </li>
              ))}
            </ul>
            {desk.data.sets.length > sets.length ? (
              <p className="text-sm text-quiet">and {plural(desk.data.sets.length - sets.length, 'smaller set')}</p>
            ) : null}
          </section>
        </>
      ) : null}
    </Aside>
  )
}

/** What students said to returned work. Each leads to the work it speaks of. */
function Replies({ replies }: { replies: Schemas['MarkingReplyView'][] }) {
  return (
    <section aria-labelledby="replies">
      <h2 id="replies" className="border-b px-6 pt-5 pb-2 text-lg">
        Wants an answer
      </h2>
      <ul>
        {replies.map((r) => (
          <li key={r.sittingId} className="border-b">
            <Link to={`/lookout/${r.handoutId}?work=${r.sittingId}`} className="block py-2.5 pr-4 pl-6 hover:bg-pale">
              <b>{r.student}</b>{' '}
              <span className="text-sm text-quiet">
                {r.handout} · {moment(r.at)}
              </span>
              <span className="block break-words">“{r.text}”</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

function Handouts({ handouts, onReturn }: { handouts: Schemas['MarkingReadyView'][]; onReturn: (id: string) => void }) {
  return (
    <section aria-labelledby="to-return">
      <h2 id="to-return" className="border-b px-6 pt-5 pb-2 text-lg">
        To return
      </h2>
      <ul>
        {handouts.map((h) => (
          <li key={h.handoutId} className="flex items-center gap-3 border-b py-2.5 pr-4 pl-6">
            <p className="min-w-0 flex-1">
              <b>{h.handout}</b>
              <span className="block text-sm text-quiet">
                {[
                  h.group ? `group “${h.group}”` : h.classes.join(', '),
                  h.ready > 0 ? `${h.ready} marked` : '',
                  h.waiting > 0 ? `${h.waiting} wait for a marker` : '',
                  h.returned > 0 ? `${h.returned} returned` : '',
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </p>
            {h.ready > 0 ? (
              <Button size="small" onClick={() => onReturn(h.handoutId)} aria-label={`Return ${h.handout}`}>
                Return
              </Button>
            ) : (
              <Button
                kind="quiet"
                size="small"
                onClick={() => onReturn(h.handoutId)}
                aria-label={`Who has ${h.handout} back`}
              >
                ✓ returned
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
