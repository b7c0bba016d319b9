import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { ask } from '@/lib/queries'
import { api, take, type Schemas } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Aside } from '@/ui/Aside'
import { ListDesk } from '@/ui/ListDesk'
import { Empty, Failed, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'
import { aimWords } from './groups'

/** Groupings that were kept, the latest first. */
export default function GroupingList() {
  const client = useQueryClient()
  const list = useQuery(ask.groupings())
  const refresh = () => client.invalidateQueries({ queryKey: ['groupings'] })
  const archive = async (id: string, name: string) => {
    const path = { id }
    await take(api.DELETE('/api/groupings/{id}', { params: { path } }))
    toast(`“${name}” is archived. What its groups were handed stays.`, {
      undo: () => void take(api.POST('/api/groupings/{id}/restore', { params: { path } })).then(refresh),
    })
    await refresh()
  }
  return (
    <ListDesk
      title="Groups"
      note={list.data ? plural(list.data.groupings.length, 'grouping') : ''}
      label="Groupings that were kept, the latest first"
      list={{ ...list, data: list.data?.groupings }}
      first={null}
      words={(g) => `${g.name} ${g.handout}`}
      picks={[{ value: 'bare', label: 'Nothing handed yet', of: (g) => g.followUps === 0 }]}
      to={(g) => `/groups/${g.id}`}
      columns={[
        { id: 'name', head: 'Grouping', cell: (g) => g.name, sort: (g) => g.name },
        { id: 'aim', head: 'Aim', cell: (g) => aimWords(g.aim), sort: (g) => g.aim, wide: true },
        { id: 'groups', head: 'Groups', cell: (g) => g.groups, sort: (g) => g.groups, right: true },
        { id: 'students', head: 'Students', cell: (g) => g.students, sort: (g) => g.students, right: true, wide: true },
        {
          id: 'follow',
          head: 'Follow-ups',
          cell: (g) => g.followUps,
          sort: (g) => g.followUps,
          right: true,
          wide: true,
        },
        {
          id: 'made',
          head: 'Kept',
          cell: (g) => <span className="whitespace-nowrap text-quiet">{moment(g.madeAt)}</span>,
          sort: (g) => g.madeAt,
        },
      ]}
      empty={
        <Empty title="No grouping is kept yet">
          <p>Open the results of a handout and regroup from there.</p>
          <Link className="font-semibold text-blue underline" to="/results">
            To the results
          </Link>
        </Empty>
      }
      panel={(g) => <GroupingAside of={g} onArchive={() => void archive(g.id, g.name)} />}
    />
  )
}

/** A grouping beside the list: its groups with their students, and what each was handed. */
function GroupingAside({ of, onArchive }: { of: Schemas['RegroupGroupingRowView']; onArchive: () => void }) {
  const whole = useQuery(ask.grouping(of.id))
  return (
    <Aside
      title={of.name}
      note={`${aimWords(of.aim)}, from “${of.handout}” · ${plural(of.followUps, 'follow-up')}`}
      to={`/groups/${of.id}`}
    >
      {whole.isPending ? <Loading what="Reading the groups" /> : null}
      {whole.isError ? <Failed error={whole.error} retry={() => void whole.refetch()} /> : null}
      {whole.data?.groups.map((g) => (
        <section key={g.id}>
          <h3 className="text-base">
            {g.name} <span className="text-sm font-normal text-quiet">{g.members.length}</span>
          </h3>
          <p className="text-quiet">{g.members.map((m) => m.name).join(', ')}</p>
          {g.handouts.map((h) => (
            <p key={h.id}>
              ✓{' '}
              <Link to={`/lookout/${h.id}`} className="text-blue underline">
                {h.title}
              </Link>
            </p>
          ))}
        </section>
      ))}
      <Button kind="quiet" className="-ml-3 self-start" aria-label={`Archive ${of.name}`} onClick={onArchive}>
        Archive
      </Button>
    </Aside>
  )
}
