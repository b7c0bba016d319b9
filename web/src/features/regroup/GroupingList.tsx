import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, take } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { Empty, Failed, Loading } from '@/ui/States'
import { toast } from '@/ui/Toasts'
import { aimWords } from './groups'

/** Groupings that were kept, the latest first. */
export default function GroupingList() {
  const client = useQueryClient()
  const list = useQuery({ queryKey: ['groupings'], queryFn: () => take(api.GET('/api/groupings')) })
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
    <>
      <Head title="Groups" note={list.data ? plural(list.data.groupings.length, 'grouping') : ''} />
      <div className="min-h-0 flex-1 overflow-auto">
        {list.isPending ? <Loading /> : null}
        {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
        {list.data?.groupings.length === 0 ? (
          <Empty title="No grouping is kept yet">
            <p>Open the results of a handout and regroup from there.</p>
            <Link className="font-semibold text-blue underline" to="/results">
              To the results
            </Link>
          </Empty>
        ) : null}
        <ul className="max-w-3xl">
          {list.data?.groupings.map((g) => (
            <li key={g.id} className="flex items-center gap-2 border-b pr-4 hover:bg-pale">
              <Link
                to={`/groups/${g.id}`}
                className="flex min-w-0 flex-1 flex-col gap-x-4 py-3 pr-2 pl-6 sm:flex-row sm:items-baseline"
              >
                <span className="min-w-0 flex-1">
                  <b>{g.name}</b>
                  <span className="block text-sm text-quiet">
                    {aimWords(g.aim)}, from “{g.handout}”
                  </span>
                </span>
                <span className="text-[15px] sm:text-right">
                  {plural(g.groups, 'group')}, {plural(g.students, 'student')}
                  <span className="block text-sm text-quiet">
                    {g.followUps > 0 ? `${plural(g.followUps, 'follow-up')} · ` : ''}
                    {moment(g.madeAt)}
                  </span>
                </span>
              </Link>
              <Button
                kind="quiet"
                size="small"
                aria-label={`Archive ${g.name}`}
                onClick={() => void archive(g.id, g.name)}
              >
                Archive
              </Button>
            </li>
          ))}
        </ul>
      </div>
    </>
  )
}
