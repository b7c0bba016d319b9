import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { Head } from './Desk'
import { Empty, Failed, Loading } from './States'

type Handout = Schemas['HandoutHandoutView']

/** A short list of handouts to choose one from, for the screens that show one handout at a time. */
export function HandoutPicker({
  title,
  to,
  keep,
  empty,
  say,
}: {
  title: string
  to: (h: Handout) => string
  keep: (h: Handout) => boolean
  empty: string
  say: (h: Handout) => string
}) {
  const list = useQuery({ queryKey: ['handouts'], queryFn: () => take(api.GET('/api/handouts')) })
  const shown = list.data?.handouts.filter(keep) ?? []
  return (
    <>
      <Head title={title} />
      <div className="min-h-0 flex-1 overflow-auto">
        {list.isPending ? <Loading /> : null}
        {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
        {list.data && shown.length === 0 ? (
          <Empty title={empty}>
            <Link to="/handouts/new" className="font-semibold text-blue underline">
              Hand out a paper
            </Link>
          </Empty>
        ) : null}
        <ul className="max-w-3xl">
          {shown.map((h) => (
            <li key={h.id} className="border-b">
              <Link to={to(h)} className="flex items-baseline gap-4 py-3 pr-4 pl-6 hover:bg-pale">
                <span className="min-w-0 flex-1">
                  <b>{h.title}</b>
                  <span className="block text-sm text-quiet">
                    {h.group ? `group “${h.group}”` : h.classes.join(', ') || plural(h.expected, 'student')}
                  </span>
                </span>
                <span className="text-right text-[15px]">
                  {say(h)}
                  <span className="block text-sm text-quiet">{moment(h.madeAt)}</span>
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </div>
    </>
  )
}
