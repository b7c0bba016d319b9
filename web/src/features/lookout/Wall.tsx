import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import { Link, useParams } from 'react-router'
import { api, Problem, take, type Schemas } from '@/lib/api/client'
import { useLive, type ToStaff } from '@/lib/live'
import { Rich } from '@/lib/Rich'
import { applyTheme } from '@/lib/theme'
import { Failed, Loading } from '@/ui/States'

type Option = Schemas['LookoutWallOptionView']
/** Thirty students who answer at once are drawn together. */
const TOGETHER = 300

/**
 * For a projector: what the teacher has chosen, readable from the back row, never a name. Nothing is pressed here; it follows what is
 * chosen in the Lookout.
 */
export default function Wall() {
  const { id = '' } = useParams()
  const client = useQueryClient()
  const key = ['wall', id]
  const wall = useQuery({
    queryKey: key,
    queryFn: () => take(api.GET('/api/handouts/{id}/wall', { params: { path: { id } } })),
  })
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
  const anew = () => {
    clearTimeout(timer.current)
    timer.current = undefined
    void client.invalidateQueries({ queryKey: key })
  }
  const live = useLive<ToStaff>(
    wall.data ? `/api/handouts/${id}/live` : null,
    ({ kind }) => {
      // What the teacher does is seen at once.
      if (kind === 'look') anew()
      else timer.current ??= setTimeout(anew, TOGETHER)
    },
    async () => (await wall.refetch({ cancelRefetch: true })).data?.live ?? 0,
  )
  useEffect(() => {
    document.title = 'Wall · Chalk Ladder'
    // Chalk on slate, whatever the desk has chosen for itself.
    applyTheme('dark')
    return () => applyTheme()
  }, [])
  if (wall.error instanceof Problem && wall.error.status === 401)
    return (
      <main className="p-8">
        <p>
          Sign in first, then open the wall from the Lookout. <Link to="/lookout">To the Lookout</Link>
        </p>
      </main>
    )
  if (wall.isPending) return <Loading what="Setting the wall up" />
  if (!wall.data) return <Failed error={wall.error} retry={() => void wall.refetch()} />
  const w = wall.data
  return (
    <div className="flex min-h-dvh bg-ground text-ink">
      <span aria-hidden className="w-6 shrink-0 border-r-2" />
      <main className="flex min-w-0 flex-1 flex-col gap-8 px-10 py-8 text-[32px] leading-snug">
        <header className="flex flex-wrap items-baseline gap-x-10 gap-y-2">
          <span className="min-w-0 flex-1 text-quiet">
            {w.title}
            {w.classes.length > 0 ? ` · ${w.classes.join(', ')}` : ''}
          </span>
          {w.codes.length > 0 ? (
            <span className="text-quiet">
              join with <b className="ml-2 font-head text-[48px] tracking-[0.14em] text-ink">{w.codes.join(' · ')}</b>
            </span>
          ) : null}
        </header>
        {w.entry === null ? (
          <div className="flex flex-1 flex-col items-center justify-center gap-4">
            <p className="font-head text-[96px] leading-none font-semibold tabular-nums">
              {w.joined} <span className="text-[48px] text-quiet">of {w.expected} here</span>
            </p>
            <p className="text-quiet tabular-nums">{w.done} handed in</p>
          </div>
        ) : (
          <>
            <h1 className="font-head text-[44px] leading-tight font-semibold">
              <Rich html={w.prompt} />
            </h1>
            {w.options.length > 0 ? <Split options={w.options} /> : null}
            <footer className="mt-auto flex flex-wrap items-baseline gap-x-10">
              {w.answeredFirst !== null ? (
                <>
                  <span className="flex items-center gap-4">
                    <span aria-hidden className="h-5 w-16 border-2 border-dashed border-ink" />
                    first count
                  </span>
                  <span className="flex items-center gap-4">
                    <span aria-hidden className="h-5 w-16 bg-ink" />
                    after the talk
                  </span>
                </>
              ) : null}
              <span className="ml-auto tabular-nums">
                <b>{w.answered}</b> of {w.expected} answered
              </span>
            </footer>
          </>
        )}
        {live === 'lost' ? <p role="status">The wall stands still: no connection.</p> : null}
      </main>
      <span aria-hidden className="w-6 shrink-0 border-l-2" />
    </div>
  )
}

/** Each option with its bar: hollow and dashed before the talk, full after it. */
function Split({ options }: { options: Option[] }) {
  const most = Math.max(1, ...options.flatMap((o) => [o.now, o.first ?? 0]))
  return (
    <table className="w-full border-t-2">
      <caption className="sr-only">How many picked each option</caption>
      <tbody>
        {options.map((o) => (
          <tr key={o.letter} className="border-b-2">
            <th scope="row" className="w-[45%] py-4 pr-6 text-left align-middle font-normal">
              <span className="flex items-baseline gap-8">
                <b className="font-head">{o.letter}</b>
                <span className="min-w-0">
                  <Rich html={o.text} />
                </span>
                {o.key ? <span className="font-semibold whitespace-nowrap">✓ key</span> : null}
              </span>
            </th>
            <td className="py-4 align-middle">
              {o.first !== null ? (
                <span
                  aria-hidden
                  className="mb-1 block h-5 border-2 border-dashed border-ink"
                  style={{ width: `${(100 * o.first) / most}%`, opacity: o.first > 0 ? 1 : 0 }}
                />
              ) : null}
              <span aria-hidden className="block h-6 bg-ink" style={{ width: `${(100 * o.now) / most}%` }} />
            </td>
            <td className="w-40 py-4 pl-6 text-right align-middle whitespace-nowrap tabular-nums">
              {o.first !== null ? (
                <span className="mr-5 text-quiet">
                  {o.first}
                  <span className="sr-only"> at the first count, now</span>
                </span>
              ) : null}
              <b className="text-[44px]">{o.now}</b>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
