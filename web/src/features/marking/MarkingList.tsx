import { useQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { ask } from '@/lib/queries'
import type { Schemas } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { Empty, Failed, Loading } from '@/ui/States'
import { ReturnDialog } from './ReturnDialog'

/** What waits for a marker, and what is ready to go back to students. */
export default function MarkingList() {
  const list = useQuery(ask.marking())
  const [params, setParams] = useSearchParams()
  const handouts = list.data?.handouts ?? []
  const returning = handouts.find((h) => h.handoutId === params.get('return'))
  const questions = list.data?.questions ?? []
  const replies = list.data?.replies ?? []
  return (
    <>
      <Head title="Marking" note={list.data ? `${plural(list.data.waiting, 'answer')} waiting` : ''} />
      <div className="min-h-0 flex-1 overflow-auto">
        {list.isPending ? <Loading /> : null}
        {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
        {list.data && questions.length === 0 && handouts.length === 0 && replies.length === 0 ? (
          <Empty title="Nothing waits for a marker">
            <p>Open answers appear here as soon as work is handed in.</p>
          </Empty>
        ) : null}
        <div className="flex flex-col xl:flex-row xl:items-start">
          {questions.length > 0 ? <Questions questions={questions} /> : null}
          {handouts.length > 0 || replies.length > 0 ? (
            <div className="min-w-0 flex-1 xl:border-l">
              {replies.length > 0 ? <Replies replies={replies} /> : null}
              {handouts.length > 0 ? (
                <Handouts handouts={handouts} onReturn={(id) => setParams({ return: id }, { replace: true })} />
              ) : null}
            </div>
          ) : null}
        </div>
      </div>
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

function Questions({ questions }: { questions: Schemas['MarkingWaitingView'][] }) {
  return (
    <section className="min-w-0 flex-1" aria-labelledby="to-mark">
      <h2 id="to-mark" className="border-b px-6 pt-5 pb-2 text-lg">
        To mark
      </h2>
      <ul className="max-w-3xl">
        {questions.map((q) => (
          <li key={`${q.handoutId}-${q.entry}`} className="border-b">
            <Link
              to={`/marking/${q.handoutId}/${q.entry}`}
              className="grid grid-cols-[2.5rem_1fr_auto] items-baseline gap-x-3 py-3 pr-4 pl-6 hover:bg-pale"
            >
              <span className="font-head text-xl font-semibold">{q.number}</span>
              <span>
                <b>{q.question}</b>
                <span className="block text-sm text-quiet">
                  {q.handout} · {q.classes.join(', ')}
                </span>
              </span>
              <span className="text-right tabular-nums">
                {q.waiting > 0 ? <b>{q.waiting} wait</b> : <span className="text-good">✓ marked</span>}
                <span className="block text-sm text-quiet">of {q.answers}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What students said to returned work. Each leads to the work it speaks of. */
function Replies({ replies }: { replies: Schemas['MarkingReplyView'][] }) {
  return (
    <section aria-labelledby="replies">
      <h2 id="replies" className="border-b px-6 pt-5 pb-2 text-lg">
        Wants an answer
      </h2>
      <ul className="max-w-3xl">
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
      <ul className="max-w-3xl">
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
