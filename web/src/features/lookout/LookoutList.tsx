import { useQuery } from '@tanstack/react-query'
import { ask } from '@/lib/queries'
import { standing, toWhom, type Handout } from '@/lib/handouts'
import { Aside } from '@/ui/Aside'
import { HandoutPicker } from '@/ui/HandoutPicker'
import { Share } from '@/ui/Share'
import { Loading } from '@/ui/States'
import { Splits } from './Splits'

/** What is running now. */
export default function LookoutList() {
  return (
    <HandoutPicker
      title="Lookout"
      to={(h) => `/lookout/${h.id}`}
      keep={(h) => h.status === 'open'}
      empty="Nothing is running"
      columns={[
        { id: 'work', head: 'At work', cell: (h) => h.open, sort: (h) => h.open, right: true },
        { id: 'in', head: 'Handed in', cell: (h) => <Share n={h.handedIn} of={h.expected} />, sort: (h) => h.handedIn },
      ]}
      picks={[{ value: 'work', label: 'At work', of: (h) => h.open > 0 }]}
      panel={(h) => <Running handout={h} />}
    />
  )
}

function Running({ handout }: { handout: Handout }) {
  const snapshot = useQuery(ask.lookout(handout.id))
  return (
    <Aside
      title={handout.title}
      note={`${toWhom(handout)} · ${standing(handout)}`}
      to={`/lookout/${handout.id}`}
      way="Look out"
    >
      {snapshot.isPending ? <Loading what="Looking out" /> : null}
      {snapshot.data ? (
        <Splits handoutId={handout.id} columns={snapshot.data.columns} rows={snapshot.data.rows} />
      ) : null}
    </Aside>
  )
}
