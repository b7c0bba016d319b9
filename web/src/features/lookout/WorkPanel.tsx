import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Given } from '@/answers/Answer'
import { WorkingGiven } from '@/answers/Working'
import { isDrawn } from '@/answers/registry'
import { api, take, type Schemas } from '@/lib/api/client'
import { duration, moment, SURE } from '@/lib/format'
import { Bar, barOf } from '@/ui/Bar'
import { Button } from '@/ui/Button'
import { later } from '@/ui/later'
import { Failed, FaultLine, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'
import { said } from './Calls'
import { HoldDialog } from './HoldDialog'
import { MoreTime } from './MoreTime'
import { NoteForm } from './NoteForm'
import type { Room } from './room'
import type { Row } from './rows'

const CorrectDialog = later(() => import('./CorrectDialog').then((it) => it.CorrectDialog))

/** What was sent as a file, or drawn, is marked as it is. */
const holdsFiles = (response: object | null) => Boolean(response && 'files' in response)

/** One student's work, as it stands now. */
export function WorkPanel({
  row,
  name,
  handout,
  room,
  columns,
  onHelp,
  onClose,
}: {
  row: Row
  name: string
  handout: Schemas['HandoutHandoutView']
  room: Room
  columns: Schemas['LookoutColumnView'][]
  /** finds another student to help with a question */
  onHelp: (entry: string) => void
  onClose: () => void
}) {
  const id = row.sittingId ?? ''
  const work = useQuery({
    queryKey: ['work', id, row.revision],
    queryFn: () => take(api.GET('/api/sittings/{id}', { params: { path: { id } } })),
    enabled: id !== '',
    placeholderData: (old) => old,
  })
  const client = useQueryClient()
  const [holding, setHolding] = useState(false)
  const [correcting, setCorrecting] = useState<Schemas['LookoutWorkAnswerView'] | null>(null)
  const takeIn = useMutation({
    mutationFn: () => take(api.POST('/api/sittings/{id}/take-in', { params: { path: { id } } })),
    onSuccess: async () => {
      toast(`What ${name} has entered is handed in.`, { undo: () => reopen.mutate() })
      await Promise.all(['lookout', 'handouts', 'marking'].map((key) => client.invalidateQueries({ queryKey: [key] })))
    },
  })
  const reopen = useMutation({
    mutationFn: () => take(api.POST('/api/sittings/{id}/reopen', { params: { path: { id } } })),
    onSuccess: async (next) => {
      client.setQueryData(['work', id, row.revision], next)
      toast(`${name} can go on where they stood.`)
      await Promise.all(['lookout', 'handouts', 'marking'].map((key) => client.invalidateQueries({ queryKey: [key] })))
    },
  })
  return (
    <section>
      <div className="flex items-start gap-2">
        <h2 className="flex-1 text-lg">{name}</h2>
        <Button kind="quiet" size="small" onClick={onClose}>
          Put away
        </Button>
      </div>
      {row.call ? (
        <div className="mb-2 border-b pb-2 text-[15px]">
          <p>
            <b className="text-rust">{said(row, columns)}</b>
            {row.call.words ? <span className="block break-words">“{row.call.words}”</span> : null}
          </p>
          <Button className="mt-1" size="small" onClick={() => void room.settle(row, name)}>
            Seen to
          </Button>
        </div>
      ) : null}
      {row.state === 'open' && handout.status === 'open' ? (
        <div className="mt-2 mb-3">
          <NoteForm
            key={row.studentId}
            label={`A note to ${name}`}
            onSend={(said) => room.write([row.studentId], said, name, row.at)}
          />
          <p className="flex flex-wrap gap-2 pt-2">
            <Button
              size="small"
              aria-pressed={row.held}
              onClick={() => (row.held ? void room.release([row.studentId], name) : setHolding(true))}
            >
              {row.held ? 'Release' : 'Hold'}
            </Button>
            {row.at !== null && columns.some((c) => c.entry === row.at) ? (
              <Button size="small" onClick={() => onHelp(row.at ?? '')}>
                Find help with question {columns.find((c) => c.entry === row.at)?.number}
              </Button>
            ) : null}
            <Button size="small" disabled={takeIn.isPending} onClick={() => takeIn.mutate()}>
              Take the work in
            </Button>
          </p>
          <FaultLine error={takeIn.error} />
        </div>
      ) : null}
      {holding ? (
        <HoldDialog
          whom={name}
          onHold={(words) => room.hold([row.studentId], words, name)}
          onClose={() => setHolding(false)}
        />
      ) : null}
      {row.left > 0 ? (
        <p className="mb-2 text-[15px]">
          Left the full screen {row.left === 1 ? 'once' : `${row.left} times`}
          {row.leftFor > 0 ? `, for ${duration(row.leftFor)} in all` : ''}.
        </p>
      ) : null}
      {correcting ? (
        <CorrectDialog
          sitting={id}
          name={name}
          answer={correcting}
          onDone={() =>
            Promise.all([
              client.invalidateQueries({ queryKey: ['work', id] }),
              client.invalidateQueries({ queryKey: ['lookout'] }),
            ])
          }
          onClose={() => setCorrecting(null)}
        />
      ) : null}
      <MoreTime row={row} name={name} handout={handout} />
      {id === '' ? <p className="text-quiet">Has not joined.</p> : null}
      {work.isPending && id ? <Loading /> : null}
      {work.isError ? <Failed error={work.error} /> : null}
      {work.data ? (
        <>
          <p className="text-quiet">
            {work.data.state}, attempt {work.data.attempt} · {work.data.marks} of {work.data.of} marks
          </p>
          {row.state === 'handed in' || row.state === 'marked' ? (
            <Button className="mt-2" size="small" disabled={reopen.isPending} onClick={() => reopen.mutate()}>
              Open again for {name}
            </Button>
          ) : null}
          <FaultLine error={reopen.error} />
          {work.data.reply ? (
            <p className="mt-2 rounded border border-blue p-2">
              <b className="text-blue">Reply</b> {work.data.reply}
            </p>
          ) : null}
          <ol className="mt-2">
            {work.data.answers.map((a) => (
              <li key={`${a.entry}-${a.try}`} className="border-b py-2 text-[15px]">
                <p className="flex items-baseline gap-2">
                  <b className="tabular-nums">{a.number}</b>
                  <span className="min-w-0 flex-1 truncate text-quiet">
                    {a.title}
                    {a.try > 1 ? `, try ${a.try}` : ''}
                    {a.ownNumber !== null && a.ownNumber !== a.number ? ` · ${a.ownNumber} on their paper` : ''}
                  </span>
                  <Bar code={barOf(a.verdict)} />
                </p>
                {isDrawn(a.type) && a.response && a.given ? (
                  <div className="mt-1 pl-5">
                    <Given face={a.face} value={a.response} />
                  </div>
                ) : (
                  <p className="pl-5 break-words">{a.given || <span className="text-quiet">nothing entered</span>}</p>
                )}
                <WorkingGiven value={a.working} />
                {a.seconds !== null || a.confidence !== null ? (
                  <p className="pl-5 text-sm text-quiet">
                    {[a.seconds === null ? '' : `in ${duration(a.seconds)}`, SURE[(a.confidence ?? 0) - 1] ?? '']
                      .filter(Boolean)
                      .join(', ')}
                  </p>
                ) : null}
                {a.corrected ? (
                  <p className="pl-5 text-sm text-blue">
                    corrected by {a.corrected.by}: {a.corrected.why}{' '}
                    <span className="text-quiet">(given: {a.corrected.given || 'nothing'})</span>
                  </p>
                ) : null}
                {a.mended ? (
                  <p className="pl-5 text-sm text-blue">the question has changed since this was given</p>
                ) : null}
                {a.verdict !== 'right' && a.key ? <p className="pl-5 text-sm text-quiet">key: {a.key}</p> : null}
                {a.misconceptions.length > 0 ? (
                  <p className="pl-5 text-sm text-blue">{a.misconceptions.join(', ')}</p>
                ) : null}
                {a.comment ? <p className="pl-5 text-sm italic">“{a.comment}”</p> : null}
                {a.given && !isDrawn(a.type) && !holdsFiles(a.response) ? (
                  <Button className="ml-3" kind="quiet" size="small" onClick={() => setCorrecting(a)}>
                    Correct<span className="sr-only"> question {a.number}</span>
                  </Button>
                ) : null}
              </li>
            ))}
          </ol>
          {work.data.aside.length > 0 ? (
            <>
              <h3 className="mt-3">Kept aside</h3>
              <p className="text-sm text-quiet">Their questions are gone from the paper. They count for nothing.</p>
              <ul>
                {work.data.aside.map((a, i) => (
                  <li key={i} className="text-[15px] break-words">
                    <span className="text-quiet">{a.title}:</span> {a.given}
                  </li>
                ))}
              </ul>
            </>
          ) : null}
          {work.data.late.length > 0 ? (
            <>
              <h3 className="mt-3">Arrived after the close</h3>
              <ul>
                {work.data.late.map((a, i) => (
                  <li key={i} className="text-[15px]">
                    {a.number}: {a.given} {a.savedAt ? <span className="text-quiet">{moment(a.savedAt)}</span> : null}
                  </li>
                ))}
              </ul>
            </>
          ) : null}
        </>
      ) : null}
    </section>
  )
}
