import { useQuery } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'
import { moment } from '@/lib/format'
import { Head } from '@/ui/Desk'
import { Scroll } from '@/ui/Scroll'
import { Empty, Failed, Loading } from '@/ui/States'

/** What would have been sent. */
export default function Outbox() {
  const list = useQuery({ queryKey: ['outbox'], queryFn: () => take(api.GET('/api/outbox')) })
  return (
    <>
      <Head title="Outbox" note="kept here instead of being sent" />
      <Scroll label="Messages">
        {list.isPending ? <Loading /> : null}
        {list.isError ? <Failed error={list.error} /> : null}
        {list.data?.messages.length === 0 ? (
          <Empty title="The outbox is empty">
            <p>Messages to students are kept here when work is returned.</p>
          </Empty>
        ) : null}
        <ul className="max-w-3xl">
          {list.data?.messages.map((m) => (
            <li key={m.id} className="border-b px-6 py-2">
              <p>
                <b>{m.to}</b> · {m.subject}{' '}
                <span className="text-sm text-quiet">
                  {moment(m.sentAt)} by {m.sentBy}
                </span>
              </p>
              <p className="text-[15px]">{m.body}</p>
            </li>
          ))}
        </ul>
      </Scroll>
    </>
  )
}
