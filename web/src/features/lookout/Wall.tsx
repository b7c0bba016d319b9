import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import { Link, useParams } from 'react-router'
import { api, Problem, take, type Schemas } from '@/lib/api/client'
import { useLive, type ToStaff } from '@/lib/live'
import { Rich } from '@/lib/Rich'
import { applyTheme } from '@/lib/theme'
import { Failed, Loading } from '@/ui/States'
import { WallClimb } from './WallClimb'
import './wall.css'

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
    <div className="wall">
      <span aria-hidden className="wall-rail" />
      <main className="wall-board">
        <header className="wall-line">
          <span className="wall-quiet wall-wide">
            {w.title}
            {w.classes.length > 0 ? ` · ${w.classes.join(', ')}` : ''}
          </span>
          {w.codes.length > 0 ? (
            <span className="wall-quiet">
              join with <b className="wall-code">{w.codes.join(' · ')}</b>
            </span>
          ) : null}
        </header>
        {w.entry === null ? (
          w.climb ? (
            <>
              <WallClimb climb={w.climb} />
              <footer className="wall-line wall-foot wall-quiet">
                <span>A rung is one question that all of a team have right.</span>
                <span className="wall-last">
                  {w.joined} of {w.expected} here
                </span>
              </footer>
            </>
          ) : (
            <div className="wall-here">
              <p className="wall-big">
                {w.joined} <span className="wall-quiet">of {w.expected} here</span>
              </p>
              <p className="wall-quiet">{w.done} handed in</p>
            </div>
          )
        ) : (
          <>
            <h1 className="wall-asks">
              <Rich html={w.prompt} />
            </h1>
            {w.options.length > 0 ? <Split options={w.options} /> : null}
            <footer className="wall-line wall-foot">
              {w.answeredFirst !== null ? (
                <>
                  <span>
                    <span aria-hidden className="wall-before" />
                    first count
                  </span>
                  <span>
                    <span aria-hidden className="wall-after" />
                    after the talk
                  </span>
                </>
              ) : null}
              <span className="wall-last">
                {w.byHands ? (
                  <>
                    <b>{w.answered}</b> hands
                  </>
                ) : (
                  <>
                    <b>{w.answered}</b> of {w.expected} answered
                  </>
                )}
              </span>
            </footer>
          </>
        )}
        {live === 'lost' ? <p role="status">The wall stands still: no connection.</p> : null}
      </main>
      <span aria-hidden className="wall-rail wall-right" />
    </div>
  )
}

/** Each option with its bar: hollow and dashed before the talk, full after it. */
function Split({ options }: { options: Option[] }) {
  const most = Math.max(1, ...options.flatMap((o) => [o.now, o.first ?? 0]))
  return (
    <table className="wall-split">
      <caption className="sr-only">How many picked each option</caption>
      <tbody>
        {options.map((o) => (
          <tr key={o.letter}>
            <th scope="row">
              <span className="wall-option">
                <b>{o.letter}</b>
                <span>
                  <Rich html={o.text} />
                </span>
                {o.key ? <span className="wall-key">✓ key</span> : null}
              </span>
            </th>
            <td>
              {o.first !== null ? (
                <span
                  aria-hidden
                  className="wall-before"
                  style={{ width: `${(100 * o.first) / most}%`, opacity: o.first > 0 ? 1 : 0 }}
                />
              ) : null}
              <span aria-hidden className="wall-after" style={{ width: `${(100 * o.now) / most}%` }} />
            </td>
            <td className="wall-n">
              {o.first !== null ? (
                <span className="wall-quiet">
                  {o.first}
                  <span className="sr-only"> at the first count, now</span>
                </span>
              ) : null}
              <b>{o.now}</b>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
