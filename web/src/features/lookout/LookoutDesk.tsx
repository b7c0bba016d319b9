import { useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { useSaid } from '@/lib/say'
import { BarLegend } from '@/ui/Bar'
import { Button } from '@/ui/Button'
import { ClassPicker } from '@/ui/ClassPicker'
import { Desk, Head } from '@/ui/Desk'
import { Confirm } from '@/ui/Confirm'
import { later } from '@/ui/later'
import { Pick } from '@/ui/Pick'
import { SelectField } from '@/ui/Select'
import { Failed, Loading } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'
import { Calls } from './Calls'
import { Climb } from './Climb'
import { Helps } from './Helps'
import { NoteForm } from './NoteForm'
import { Pads } from './Pads'
import { Picture } from './Picture'
import { useLookout } from './useLookout'
import { useRoom } from './room'
import { useNames } from './names'
import { calling, silent, sorted, type Row, type Sort } from './rows'
import { Splits } from './Splits'
import { WorkPanel } from './WorkPanel'

const MendDialog = later(() => import('./MendDialog').then((it) => it.MendDialog))

const KeysDialog = later(() => import('./KeysDialog').then((it) => it.KeysDialog))
const HelpDialog = later(() => import('./HelpDialog').then((it) => it.HelpDialog))
const HoldDialog = later(() => import('./HoldDialog').then((it) => it.HoldDialog))

const LIVE = { live: 'live', asking: 'asking every 2 s', lost: 'connection lost, trying again' }

const NOBODY: Row[] = []
const KEEPS = { all: () => true, calls: calling, silent }
type Only = keyof typeof KEEPS

export default function LookoutDesk() {
  const { id = '' } = useParams()
  const client = useQueryClient()
  const navigate = useNavigate()
  const { snapshot, live, anew } = useLookout(id)
  useSaid(live === 'lost' ? 'The picture stands still: no connection.' : 'The picture moves again.')
  const { hidden, turn: turnNames, nameOf } = useNames(id, snapshot.data?.rows ?? NOBODY)
  const [sort, setSort] = useState<Sort>('name')
  const [only, setOnly] = useState<Only>('all')
  const room = useRoom(id)
  const [holding, setHolding] = useState(false)
  const [helped, setHelped] = useState<{ row: Row; entry: string } | null>(null)
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
  const [mending, setMending] = useState(false)
  const [keying, setKeying] = useState(false)
  const rows = useMemo(
    () =>
      sorted(snapshot.data?.rows ?? [], sort, hidden).filter(
        (row) => KEEPS[only](row) && (group === '' || classes?.[row.studentId] === group),
      ),
    [snapshot.data, sort, only, hidden, group, classes],
  )
  const held = (snapshot.data?.rows ?? []).some((r) => r.held)
  const openWall = () => void window.open(`/wall/${id}`, 'chalk-wall')
  const turnHold = () => {
    if (held) void room.release(null, 'Everybody')
    else if (snapshot.data?.handout.status === 'open') setHolding(true)
  }
  const at = rows.findIndex((r) => r.studentId === open)
  const step = (by: number) => setOpen(rows[Math.max(0, Math.min(rows.length - 1, at + by))]?.studentId ?? null)
  useKeys({
    n: { label: 'Hide or show names', run: turnNames },
    '1': { label: 'Sort by name', run: () => setSort('name') },
    '2': { label: 'Sort by credit', run: () => setSort('credit') },
    '3': { label: 'Sort by progress', run: () => setSort('progress') },
    '4': { label: 'Sort by silence', run: () => setSort('silence') },
    '5': { label: 'Sort by speed', run: () => setSort('speed') },
    '6': { label: 'Sort by calls', run: () => setSort('calls') },
    w: { label: 'Open the wall', run: () => openWall() },
    h: { label: 'Hold all, or release them', run: () => turnHold() },
    j: { label: 'Next student', run: () => step(1) },
    k: { label: 'Previous student', run: () => step(-1) },
    Escape: { label: 'Put the student’s work away', run: () => setOpen(null) },
  })
  if (snapshot.isPending) return <Loading what="Looking out" />
  if (!snapshot.data) return <Failed error={snapshot.error} retry={() => void snapshot.refetch()} />
  const { handout, columns, rungs } = snapshot.data
  const keyless = columns.filter((c) => c.keyless !== null)
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
      await anew()
      void client.invalidateQueries({ queryKey: ['handouts'] })
      toast(
        closed.handedIn === 0
          ? 'Closed. Nobody was at work any more.'
          : 'Closed. What students had entered has been handed in.',
      )
    } catch (thrown) {
      sorry(thrown)
    }
  }
  const reopen = async () => {
    await take(api.POST('/api/handouts/{id}/reopen', { params: { path: { id } } }))
    await anew()
    toast('Open again for who has not handed in.')
  }
  const chosen = all.find((r) => r.studentId === open)
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
        {closed ? null : (
          <Button hint="w" onClick={openWall}>
            Wall
          </Button>
        )}
        {closed ? null : (
          <Button hint="h" aria-pressed={held} onClick={turnHold}>
            {held ? 'Release all' : 'Hold all'}
          </Button>
        )}
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
              name={nameOf(chosen)}
              handout={handout}
              room={room}
              columns={columns}
              onHelp={(entry) => setHelped({ row: chosen, entry })}
              onClose={() => setOpen(null)}
            />
          ) : (
            <>
              <Calls
                rows={all}
                columns={columns}
                nameOf={nameOf}
                onOpen={setOpen}
                onSettle={(row) => void room.settle(row, nameOf(row))}
                onHelp={(row) => setHelped({ row, entry: row.call?.entry ?? '' })}
              />
              <Helps handoutId={id} rows={all} columns={columns} nameOf={nameOf} room={room} />
              <Splits handoutId={id} columns={columns} rows={all} />
              {closed ? null : (
                <div className="mt-5">
                  <NoteForm label="A note to all" onSend={(said) => room.write([null], said, 'Everybody')} />
                </div>
              )}
              {closed ? null : <Climb handoutId={id} rows={snapshot.data.rows} nameOf={nameOf} />}
              {closed ? null : <Pads handoutId={id} rows={snapshot.data.rows} nameOf={nameOf} />}
            </>
          )
        }
      >
        <div className="px-5 py-3">
          {!closed && handout.latest > handout.edition ? (
            <p className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1 rounded border border-blue px-3 py-2">
              <span className="flex-1">
                Edition {handout.latest} of this paper is published; they sit edition {handout.edition}.
              </span>
              <Button size="small" onClick={() => setMending(true)}>
                See what it would change
              </Button>
            </p>
          ) : null}
          {keyless.length > 0 ? (
            <p className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1 rounded border border-blue px-3 py-2">
              <span className="flex-1">
                {keyless.length === columns.length
                  ? 'The key is still to be given: answers wait for it.'
                  : `The key of ${plural(keyless.length, 'question')} is still to be given.`}
              </span>
              <Button size="small" onClick={() => setKeying(true)}>
                Give the key
              </Button>
            </p>
          ) : null}
          <div className="flex flex-wrap items-center gap-x-5 gap-y-1 pb-2 text-[15px]">
            <Pick
              label="Which students"
              value={only}
              onChange={setOnly}
              options={[
                { value: 'all', label: `All ${all.length}` },
                { value: 'calls', label: `Calls ${all.filter(calling).length}` },
                { value: 'silent', label: `Silent ${all.filter(silent).length}` },
              ]}
            />
            <span className="flex-1" />
            <span className="text-sm text-quiet">{LIVE[live]}</span>
            <SelectField
              label="Sort"
              hideLabel
              size="small"
              wide={false}
              value={sort}
              onChange={setSort}
              options={[
                { value: 'name', label: hidden ? 'by number' : 'by name' },
                { value: 'credit', label: 'by credit' },
                { value: 'progress', label: 'by progress' },
                { value: 'silence', label: 'by silence' },
                { value: 'speed', label: 'by speed' },
                { value: 'calls', label: 'by calls' },
              ]}
            />
          </div>
          <Picture
            handoutId={id}
            rows={rows}
            columns={columns}
            rungs={rungs}
            nameOf={nameOf}
            open={open}
            onOpen={setOpen}
          />
          <div className="pt-3">
            <BarLegend />
          </div>
        </div>
      </Desk>
      {holding ? (
        <HoldDialog whom="all" onHold={(words) => room.hold(null, words, 'All')} onClose={() => setHolding(false)} />
      ) : null}
      {helped?.row.sittingId ? (
        <HelpDialog
          sitting={helped.row.sittingId}
          name={nameOf(helped.row)}
          entry={helped.entry}
          number={columns.find((c) => c.entry === helped.entry)?.number ?? 0}
          onAsk={async (helper) => {
            await room.askToHelp(helped.row.sittingId ?? '', helped.entry, helper)
            // Whoever is helped has been seen to.
            if (helped.row.call?.entry === helped.entry) await room.settle(helped.row, nameOf(helped.row))
          }}
          onClose={() => setHelped(null)}
        />
      ) : null}
      {keying ? <KeysDialog handoutId={id} columns={keyless} onClose={() => setKeying(false)} /> : null}
      {mending ? <MendDialog handoutId={id} onClose={() => setMending(false)} /> : null}
      <Confirm
        open={closing}
        onClose={() => setClosing(false)}
        title="Close this handout?"
        keep="Keep it open"
        act={working === 0 ? 'Close the handout' : `Close and hand in ${plural(working, 'open sitting')}`}
        onAct={() => void close()}
      >
        <p>
          {working === 0
            ? 'Nobody is at work.'
            : `${plural(working, 'student')} still at work: what they have entered is kept and handed in.`}{' '}
          {notHere > 0 ? `${plural(notHere, 'student')} not here have nothing to hand in.` : ''}
        </p>
      </Confirm>
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
