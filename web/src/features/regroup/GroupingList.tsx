import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, take } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { Head } from '@/ui/Desk'
import { Empty, Failed, Loading } from '@/ui/States'
import { aimWords } from './groups'

export default function GroupingList() {
  const list = useQuery({ queryKey: ['groupings'], queryFn: () => take(api.GET('/api/groupings')) })
  return (
    <>
      <Head title="Groups" note={list.data ? plural(list.data.groupings.length, 'grouping') : ''} />
      <div className="min-h-0 flex-1 overflow-auto">
        {list.isPending ? <Loading /> : null}
        {list.isError ? <Failed error={list.error} /> : null}
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
            <li key={g.id} className="border-b">
              <Link to={`/groups/${g.id}`} className="flex items-baseline gap-4 py-3 pr-4 pl-6 hover:bg-pale">
                <span className="min-w-0 flex-1">
                  <b>{g.name}</b>
                  <span className="block text-sm text-quiet">
                    {aimWords(g.aim)}, from “{g.handout}”
                  </span>
                </span>
                <span className="text-right text-[15px]">
                  {plural(g.groups, 'group')}, {plural(g.students, 'student')}
                  <span className="block text-sm text-quiet">
                    {g.followUps > 0 ? `${plural(g.followUps, 'follow-up')} · ` : ''}
                    {moment(g.madeAt)}
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </div>
    </>
  )
}
