import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { ask } from '@/lib/queries'
import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { toWhom, turn, type Handout } from '@/lib/handouts'
import { Aside } from '@/ui/Aside'
import { HandoutPicker } from '@/ui/HandoutPicker'
import { Share } from '@/ui/Share'
import { Failed, Loading } from '@/ui/States'
import { Rungs } from './Students'

/** Handouts with work in, each with what its results say first. */
export default function ResultsList() {
  return (
    <HandoutPicker
      title="Results"
      to={(h) => `/results/${h.id}`}
      keep={(h) => h.handedIn > 0}
      empty="No work has been handed in"
      columns={[
        { id: 'in', head: 'Handed in', cell: (h) => <Share n={h.handedIn} of={h.expected} />, sort: (h) => h.handedIn },
        { id: 'turn', head: 'Next', cell: turn, sort: turn, wide: true },
      ]}
      picks={[{ value: 'whole', label: 'All marked', of: (h) => h.waiting === 0 }]}
      panel={(h) => <Gist handout={h} />}
    />
  )
}

/** Why a question wants looking at; that few have answered is no reason. */
const wanting = (q: Schemas['ResultsQuestionView']) => q.flags.map((f) => f.kind).filter((kind) => kind !== 'few')

/** Which questions want looking at, and who is on which rung. */
function Gist({ handout }: { handout: Handout }) {
  const { id } = handout
  const results = useQuery(ask.results(id, ''))
  const flagged = results.data?.questions.filter((q) => wanting(q).length > 0) ?? []
  return (
    <Aside title={handout.title} note={toWhom(handout)} to={`/results/${id}`} way="Read">
      {results.isPending ? <Loading what="Reading the results" /> : null}
      {results.isError ? <Failed error={results.error} retry={() => void results.refetch()} /> : null}
      {results.data ? (
        <>
          <section>
            <h3 className="text-base">Which questions want looking at?</h3>
            {flagged.length === 0 ? <p className="text-quiet">None by the figures so far.</p> : null}
            <ul className="mt-1">
              {flagged.slice(0, 4).map((q) => (
                <li key={q.entry} className="border-b py-1">
                  <Link to={`/results/${id}?q=${q.entry}`} className="hover:underline">
                    <b>{q.number}</b> {q.title}
                  </Link>{' '}
                  <span className="text-blue">{wanting(q).join(', ')}</span>
                </li>
              ))}
            </ul>
            {flagged.length > 4 ? (
              <p className="text-sm text-quiet">and {plural(flagged.length - 4, 'other')}</p>
            ) : null}
          </section>
          <Rungs results={results.data} />
        </>
      ) : null}
    </Aside>
  )
}
