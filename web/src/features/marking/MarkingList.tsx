import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, take } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Head } from '@/ui/Desk'
import { Empty, Failed, Loading } from '@/ui/States'

/** What waits for a marker. */
export default function MarkingList() {
  const list = useQuery({ queryKey: ['marking'], queryFn: () => take(api.GET('/api/marking')) })
  return (
    <>
      <Head title="Marking" note={list.data ? `${plural(list.data.waiting, 'answer')} waiting` : ''} />
      <div className="min-h-0 flex-1 overflow-auto">
        {list.isPending ? <Loading /> : null}
        {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
        {list.data?.questions.length === 0 ? (
          <Empty title="Nothing waits for a marker">
            <p>Open answers appear here as soon as work is handed in.</p>
          </Empty>
        ) : null}
        <ul className="max-w-3xl">
          {list.data?.questions.map((q) => (
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
      </div>
    </>
  )
}
