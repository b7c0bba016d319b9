import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, type ReactNode } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { api, Problem, take, type Schemas } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { inTab } from '@/lib/remembered'
import { Button } from '@/ui/Button'
import { Failed, Loading } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'
import { sendLeftBehind } from './leftBehind'
import { deviceStore } from './store'
import { ToJoin } from './ToJoin'

type Row = Schemas['SittingOwnWorkRowView']
const PARTS: { title: string; holds: (r: Row) => boolean }[] = [
  { title: 'To do', holds: (r) => r.mayOpen && (r.status === 'open' || r.status === 'due') },
  { title: 'Later', holds: (r) => r.status === 'scheduled' },
  { title: 'Returned', holds: (r) => r.status === 'returned' },
  { title: 'Handed in', holds: (r) => r.status === 'handed in' },
  { title: 'Missed', holds: (r) => r.status === 'missed' },
]

/**
 * A student's own work: due, done, returned; and below it what else they are asked for. By a link or a QR code to one piece of work they
 * find that one alone, with the way to the rest.
 */
export default function MyWork({ children }: { children?: ReactNode }) {
  const navigate = useNavigate()
  const { only } = useParams()
  const client = useQueryClient()
  const work = useQuery({ queryKey: ['work'], queryFn: () => take(api.GET('/api/me/work')), refetchInterval: 20_000 })
  const open = useMutation({
    mutationFn: (handoutId: string) =>
      take(api.POST('/api/me/handouts/{id}/open', { params: { path: { id: handoutId } } })),
    onSuccess: (view) => void navigate(`/my/${view.id}`),
    onError: (thrown) => {
      sorry(thrown)
      void work.refetch()
    },
  })
  const isIn = work.isSuccess
  useEffect(() => {
    if (!isIn) return
    void sendLeftBehind(deviceStore())
      .then(({ sent }) => {
        if (sent === 0) return
        toast(`${plural(sent, 'answer')} that had stayed on this device ${sent === 1 ? 'is' : 'are'} sent now.`)
        void client.invalidateQueries({ queryKey: ['work'] })
      })
      // A private window may refuse the store; then nothing can have stayed in it.
      .catch(() => undefined)
  }, [isIn, client])
  if (work.isPending) return <Loading />
  if (work.error instanceof Problem && work.error.status === 401) return <ToJoin />
  if (!work.data) return <Failed error={work.error} retry={() => void work.refetch()} />
  const leave = async () => {
    const store = deviceStore()
    const { still } = await sendLeftBehind(store).catch(() => ({ still: 0 }))
    await take(api.DELETE('/api/me'))
    await store.forgetSent().catch(() => undefined)
    inTab.clear()
    if (still > 0)
      toast(
        `${plural(still, 'answer')} could not be sent and ${still === 1 ? 'stays' : 'stay'} on this device until you join here again.`,
        { bad: true },
      )
    client.clear()
    void navigate('/join')
  }
  const rows = work.data.handouts.filter((r) => only === undefined || r.handoutId === only)
  return (
    <div className="min-h-dvh text-[18px]">
      <header className="flex items-center gap-3 border-b px-4 py-3">
        <h1 className="flex-1 font-head text-xl font-semibold">{work.data.name}</h1>
        <Button className="min-h-11" onClick={() => void leave()}>
          Leave
        </Button>
      </header>
      <main className="mx-auto max-w-2xl px-4 py-4">
        {rows.length === 0 ? (
          <p className="py-8 text-quiet">
            {only === undefined
              ? 'Nothing has been handed to you yet. It appears here by itself.'
              : 'This work has not been handed to you, or is not shown yet. Ask your teacher; it appears here by itself.'}
          </p>
        ) : null}
        {PARTS.map((part) => {
          const list = rows.filter(part.holds)
          return list.length > 0 ? (
            <section key={part.title} className="mb-6">
              <h2 className="text-lg">{part.title}</h2>
              <ul className="mt-2 border-t">
                {list.map((r) => (
                  <li key={r.handoutId} className="flex min-h-16 items-center gap-3 border-b py-2">
                    <span className="min-w-0 flex-1">
                      <b>{r.title}</b>
                      <span className="block text-[15px] text-quiet">
                        {r.closesAt && r.mayOpen ? `until ${moment(r.closesAt)} ` : ''}
                        {r.opensAt && r.status === 'scheduled' ? `opens ${moment(r.opensAt)} ` : ''}
                        {r.minutes !== null && r.status === 'due' ? `${r.minutes} minutes from when you begin ` : ''}
                        {r.secondsEach !== null && r.mayOpen ? `${r.secondsEach} seconds for each question ` : ''}
                        {r.attempts > 1 ? `attempt ${Math.max(1, r.attempt)} of ${r.attempts}` : ''}
                      </span>
                    </span>
                    {r.marks !== null ? (
                      <span className="text-right whitespace-nowrap">
                        <b className="font-head text-xl">{r.marks}</b>
                        <span className="text-[15px] text-quiet"> {r.of === null ? 'marks' : `of ${r.of}`}</span>
                      </span>
                    ) : null}
                    {r.mayOpen && (r.status === 'open' || r.status === 'due') ? (
                      <Button kind="do" size="large" disabled={open.isPending} onClick={() => open.mutate(r.handoutId)}>
                        {r.status === 'open' ? 'Go on' : 'Begin'}
                      </Button>
                    ) : null}
                    {r.sittingId && r.status !== 'open' ? (
                      <Button className="min-h-12" onClick={() => void navigate(`/my/${r.sittingId ?? ''}`)}>
                        See
                      </Button>
                    ) : null}
                    {r.mayOpen && r.sittingId && r.status !== 'open' ? (
                      <Button className="min-h-12" disabled={open.isPending} onClick={() => open.mutate(r.handoutId)}>
                        Try again
                      </Button>
                    ) : null}
                  </li>
                ))}
              </ul>
            </section>
          ) : null
        })}
        {only === undefined ? (
          <>
            {children}
            <Link to="/my/account" className="inline-block py-2 text-[15px] text-blue underline">
              An account of your own
            </Link>
          </>
        ) : (
          <Link to="/my" className="text-blue underline">
            All my work
          </Link>
        )}
      </main>
    </div>
  )
}
