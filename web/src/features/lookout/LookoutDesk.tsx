import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback, useMemo, useState } from 'react'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { moment, percent, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { useLive } from '@/lib/live'
import { roving } from '@/lib/roving'
import { BarLegend } from '@/ui/Bar'
import { Button } from '@/ui/Button'
import { ClassPicker } from '@/ui/ClassPicker'
import { Desk, Head } from '@/ui/Desk'
import { Dialog } from '@/ui/Dialog'
import { Failed, Loading } from '@/ui/States'
import { toast } from '@/ui/Toasts'
import { aliases, merged, silent, sorted, type Row, type Sort } from './rows'
import { StudentRow } from './StudentRow'
import { WorkPanel } from './WorkPanel'

type Message = { kind: 'row'; row: Row }

export default function LookoutDesk() {
  const { id = '' } = useParams()
  const client = useQueryClient()
  const navigate = useNavigate()
  const key = useMemo(() => ['lookout', id], [id])
  const snapshot = useQuery({
    queryKey: key,
    queryFn: () => take(api.GET('/api/handouts/{id}/lookout', { params: { path: { id } } })),
    staleTime: Infinity,
  })
  const live = useLive<Message>(
    `/api/handouts/${id}/live`,
    useCallback(
      ({ row }) =>
        client.setQueryData<Schemas['LookoutLookoutView']>(key, (old) =>
          old ? { ...old, rows: merged(old.rows, row) } : old,
        ),
      [client, key],
    ),
    useCallback(() => client.invalidateQueries({ queryKey: key }), [client, key]),
  )
  // While names are hidden: who is which number, drawn anew each time they are.
  const [hidden, setHidden] = useState<ReadonlyMap<string, number> | null>(null)
  const turnNames = () => setHidden(hidden ? null : aliases(snapshot.data?.rows ?? []))
  const [sort, setSort] = useState<Sort>('name')
  const [only, setOnly] = useState<'all' | 'silent'>('all')
  const [chosenId, setOpen] = useState<string | null | undefined>(undefined)
  // A reply in the marking list leads to its sitting.
  const [params, setParams] = useSearchParams()
  const group = params.get('class') ?? ''
  const classes = snapshot.data?.classes
  const asked = snapshot.data?.rows.find(
    (r) => r.studentId === params.get('student') || (r.sittingId !== null && r.sittingId === params.get('work')),
  )
  const open = chosenId === undefined ? (asked?.studentId ?? null) : chosenId
  const [closing, setClosing] = useState(false)
  const rows = useMemo(
    () =>
      sorted(snapshot.data?.rows ?? [], sort, hidden).filter(
        (row) => (only === 'all' || silent(row)) && (group === '' || classes?.[row.studentId] === group),
      ),
    [snapshot.data, sort, only, hidden, group, classes],
  )
  const at = rows.findIndex((r) => r.studentId === open)
  const step = (by: number) => setOpen(rows[Math.max(0, Math.min(rows.length - 1, at + by))]?.studentId ?? null)
  const rove = roving(
    rows.map((r) => r.studentId),
    open,
    setOpen,
  )
  useKeys({
    n: { label: 'Hide or show names', run: turnNames },
    '1': { label: 'Sort by name', run: () => setSort('name') },
    '2': { label: 'Sort by credit', run: () => setSort('credit') },
    '3': { label: 'Sort by progress', run: () => setSort('progress') },
    j: { label: 'Next student', run: () => step(1) },
    k: { label: 'Previous student', run: () => step(-1) },
    Escape: { label: 'Put the student’s work away', run: () => setOpen(null) },
  })
  if (snapshot.isPending) return <Loading what="Looking out" />
  if (snapshot.isError) return <Failed error={snapshot.error} retry={() => void snapshot.refetch()} />
  const { handout, columns, rungs } = snapshot.data
  const all = snapshot.data.rows.filter((row) => group === '' || classes?.[row.studentId] === group)
  const joined = all.filter((r) => r.state !== 'expected').length
  const done = all.filter((r) => r.state !== 'expected' && r.state !== 'open').length
  // Closing closes for everybody, whatever class is looked at.
  const working = snapshot.data.rows.filter((r) => r.state === 'open').length
  const notHere = snapshot.data.rows.filter((r) => r.state === 'expected').length
  const closed = handout.status === 'closed'
  const close = async () => {
    setClosing(false)
    try {
      const closed = await take(api.POST('/api/handouts/{id}/close', { params: { path: { id } } }))
      await client.invalidateQueries({ queryKey: key })
      void client.invalidateQueries({ queryKey: ['handouts'] })
      toast(
        closed.handedIn === 0
          ? 'Closed. Nobody was at work any more.'
          : 'Closed. What students had entered has been handed in.',
      )
    } catch (thrown) {
      toast(problemOf(thrown).message, { bad: true })
    }
  }
  const reopen = async () => {
    await take(api.POST('/api/handouts/{id}/reopen', { params: { path: { id } } }))
    await client.invalidateQueries({ queryKey: key })
    toast('Open again for who has not handed in.')
  }
  const chosen = all.find((r) => r.studentId === open)
  const alias = (row: Row) => (hidden ? `Student ${hidden.get(row.studentId) ?? '?'}` : row.name)
  return (
    <>
      <Head
        title={handout.title}
        note={`${handout.group ? `group “${handout.group}”` : handout.classes.join(', ')} · ${standing(handout)}`}
      >
        <span className="text-[15px] text-quiet tabular-nums">
          {joined} joined of {all.length} · {done} handed in
        </span>
        <ClassPicker
          classes={handout.classes}
          value={group}
          onChange={(name) => setParams(name ? { class: name } : {}, { replace: true })}
        />
        <Button hint="n" aria-pressed={hidden !== null} onClick={turnNames}>
          {hidden ? 'Show names' : 'Hide names'}
        </Button>
        {closed ? (
          <>
            <Button onClick={() => void reopen()}>Open again</Button>
            <Button kind="do" onClick={() => void navigate(`/results/${id}`)}>
              Results
            </Button>
          </>
        ) : (
          <Button kind="do" onClick={() => setClosing(true)}>
            Close
          </Button>
        )}
      </Head>
      <Desk
        rightLabel="Beside the picture"
        right={
          chosen ? (
            <WorkPanel
              key={chosen.studentId}
              row={chosen}
              name={alias(chosen)}
              handout={handout}
              onClose={() => setOpen(null)}
            />
          ) : (
            <Splits columns={columns} rows={all} />
          )
        }
      >
        <div className="px-5 py-3">
          <div className="flex flex-wrap items-center gap-x-5 gap-y-1 pb-2 text-[15px]">
            <div role="group" aria-label="Which students" className="flex gap-4">
              {(['all', 'silent'] as const).map((one) => (
                <button
                  key={one}
                  aria-pressed={only === one}
                  className={only === one ? 'font-bold' : 'text-quiet hover:text-ink'}
                  onClick={() => setOnly(one)}
                >
                  {one === 'all' ? `All ${all.length}` : `Silent ${all.filter(silent).length}`}
                </button>
              ))}
            </div>
            <span className="flex-1" />
            <span role="status" className="text-sm text-quiet">
              {live === 'live' ? 'live' : live === 'asking' ? 'asking every 2 s' : 'connection lost, trying again'}
            </span>
            <label className="text-quiet">
              Sort{' '}
              <select
                className="rounded border border-edge bg-sheet px-1 py-0.5"
                value={sort}
                onChange={(e) => setSort(e.target.value as Sort)}
              >
                <option value="name">{hidden ? 'by number' : 'by name'}</option>
                <option value="credit">by credit</option>
                <option value="progress">by progress</option>
              </select>
            </label>
          </div>
          <div className="overflow-x-auto">
            {/* Fixed columns: a changed answer must not make the browser measure every cell anew. */}
            <table className="w-full table-fixed text-[15px]" style={{ minWidth: `${24 + 2.25 * columns.length}rem` }}>
              <caption className="sr-only">Students and their answers, as it happens</caption>
              <colgroup>
                <col className="w-[15rem]" />
                <col className="w-14" />
                {columns.map((c) => (
                  <col key={c.entry} />
                ))}
                <col className="w-28" />
              </colgroup>
              <thead>
                <tr className="border-b text-left text-sm text-quiet">
                  <th scope="col" className="py-1.5 pl-4 font-medium">
                    Student
                  </th>
                  <th scope="col" className="px-2 font-medium">
                    Level
                  </th>
                  {columns.map((c) => (
                    <th
                      scope="col"
                      key={c.entry}
                      className="px-1 text-center font-medium"
                      title={`${c.title} · ${c.section}`}
                    >
                      {c.number}
                    </th>
                  ))}
                  <th scope="col" className="px-2 text-right font-medium">
                    Marks so far
                  </th>
                </tr>
              </thead>
              <tbody {...rove.list}>
                {rows.map((row) => (
                  <StudentRow
                    key={row.studentId}
                    row={row}
                    name={alias(row)}
                    columns={columns}
                    rungs={rungs}
                    open={open === row.studentId}
                    onOpen={setOpen}
                    stop={rove.item(row.studentId).tabIndex === 0}
                  />
                ))}
              </tbody>
            </table>
          </div>
          <div className="pt-3">
            <BarLegend />
          </div>
        </div>
      </Desk>
      <Dialog
        open={closing}
        onClose={() => setClosing(false)}
        title="Close this handout?"
        foot={
          <>
            <Button onClick={() => setClosing(false)}>Keep it open</Button>
            <Button kind="do" onClick={() => void close()}>
              {working === 0 ? 'Close the handout' : `Close and hand in ${plural(working, 'open sitting')}`}
            </Button>
          </>
        }
      >
        <p>
          {working === 0
            ? 'Nobody is at work.'
            : `${plural(working, 'student')} still at work: what they have entered is kept and handed in.`}{' '}
          {notHere > 0 ? `${plural(notHere, 'student')} not here have nothing to hand in.` : ''}
        </p>
      </Dialog>
    </>
  )
}

/** How a handout stands, in words. */
function standing({ status, opensAt, madeAt }: Schemas['LookoutLookoutView']['handout']): string {
  switch (status) {
    case 'open':
      return `open since ${moment(opensAt ?? madeAt)}`
    case 'scheduled':
      return opensAt ? `opens ${moment(opensAt)}` : status
    default:
      return status
  }
}

/** Which questions go wrong now? Shares of the answers so far, the lowest first. */
function Splits({ columns, rows }: { columns: Schemas['LookoutColumnView'][]; rows: Row[] }) {
  const shares = columns
    .map((c) => {
      const cells = rows
        .map((r) => r.cells[c.entry]?.code)
        .filter((code) => code === 'right' || code === 'part' || code === 'wrong')
      const right = cells.filter((code) => code === 'right').length
      return { ...c, n: cells.length, right, share: cells.length > 0 ? right / cells.length : 1 }
    })
    .filter((c) => c.n > 0)
    .sort((a, b) => a.share - b.share)
  return (
    <section>
      <h2 className="text-lg">Which questions go wrong now?</h2>
      {shares.length === 0 ? <p className="text-quiet">No answer has come in yet.</p> : null}
      <ol className="mt-2 flex flex-col gap-2.5">
        {shares.map((c) => (
          <li key={c.entry}>
            <p className="flex items-baseline gap-2 text-[15px]">
              <b className="tabular-nums">{c.number}</b>
              <span className="min-w-0 flex-1 truncate">{c.title}</span>
              <span className="whitespace-nowrap tabular-nums">
                {percent(c.share)} of {c.n}
              </span>
            </p>
            <svg aria-hidden viewBox="0 0 100 6" preserveAspectRatio="none" className="h-1.5 w-full">
              <rect width="100" height="6" className="fill-r0" />
              <rect width={100 * c.share} height="6" className="fill-r3" />
            </svg>
          </li>
        ))}
      </ol>
      <p className="mt-3 text-sm text-quiet">
        Share of answers that are right, at the latest try. Choose a student in the picture to read their work.
      </p>
    </section>
  )
}
