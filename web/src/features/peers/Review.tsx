import { useState } from 'react'
import { Link } from 'react-router'
import * as z from 'zod/mini'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { dropUnsaved, keepUnsaved, unsaved } from '@/lib/drafts/device'
import { asked, useForm } from '@/lib/form'
import { moment, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Button } from '@/ui/Button'
import { AreaField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { Tick } from '@/ui/Tick'
import { toast } from '@/ui/toast'

type Queue = Schemas['PeersQueueView']

const shape = z.object({ words: asked('Say what is to be changed.') })

/** What a teacher does with a student's question; each act can be taken back. */
export function Review({
  proposal,
  group,
  onSeen,
}: {
  proposal: Schemas['PeersProposalView']
  /** name of the class */
  group: string
  onSeen: (view: Queue) => void
}) {
  const { id, student, state, shown, itemId } = proposal
  const params = { path: { id } }
  const [named, setNamed] = useState(proposal.named)
  const [busy, setBusy] = useState(false)
  const act = async (does: Promise<Queue>, said: string, undo?: () => Promise<Queue>) => {
    setBusy(true)
    try {
      onSeen(await does)
      toast(said, undo ? { undo: () => void act(undo(), 'Taken back.') } : {})
    } catch (thrown) {
      const { message, detail } = problemOf(thrown)
      toast(`${message} ${detail}`, { bad: true })
    } finally {
      setBusy(false)
    }
  }
  const takeBack = () => take(api.POST('/api/proposals/{id}/take-back', { params }))
  const hide = () => take(api.POST('/api/proposals/{id}/hide', { params }))
  const show = () => take(api.POST('/api/proposals/{id}/show', { params, body: { named } }))
  const turn = () =>
    void (shown
      ? act(hide(), 'The class does not see it any more.', show)
      : act(show(), `${group} may answer it now.`, hide))
  const letIn = () =>
    void act(
      take(api.POST('/api/proposals/{id}/let-in', { params, body: { named } })),
      'It stands in the bank.',
      takeBack,
    )
  useKeys({
    s: { label: shown ? 'Take it off again' : 'Show it to the class', run: turn },
    l: { label: 'Let it into the bank', run: () => state !== 'let in' && letIn() },
  })
  const answers = proposal.taken.reduce((sum, n) => sum + n, 0)
  const right = proposal.taken[proposal.question.key] ?? 0
  return (
    <div className="flex flex-col gap-5 text-[15px]">
      <div>
        <h2 className="text-lg">{student}</h2>
        <p className="text-quiet">Written {moment(proposal.writtenAt)}.</p>
        {state === 'sent back' ? (
          <p className="mt-1">
            Sent back: <i>“{proposal.words}”</i> It is {student}’s turn.
          </p>
        ) : null}
      </div>
      <Tick label={`Name ${student} with it`} checked={named} onChange={setNamed} />
      <section className="flex flex-col items-start gap-2 border-t pt-4">
        <h3 className="text-base">What does the class answer to it?</h3>
        <p className="text-quiet">
          {answers > 0
            ? `${right} of ${plural(answers, 'student')} took the right one; who took which stands beside the options.`
            : shown
              ? 'Nobody has answered yet.'
              : 'Shown to the class, each answers once and is then told why.'}
        </p>
        <Button disabled={busy} hint="s" onClick={turn}>
          {shown ? 'Take it off again' : `Show it to ${group}`}
        </Button>
      </section>
      <section className="flex flex-col items-start gap-2 border-t pt-4">
        <h3 className="text-base">Is it good enough to keep?</h3>
        {itemId ? (
          <>
            <p>
              It stands in the bank.{' '}
              <Link to={`/bank/${itemId}`} className="text-blue underline">
                Improve it there
              </Link>
            </p>
            <Button disabled={busy} onClick={() => void act(takeBack(), 'It waits for you again.')}>
              Take it out of the bank
            </Button>
          </>
        ) : (
          <>
            <p className="text-quiet">The reasons become what is told to whoever takes a wrong option.</p>
            <Button kind="do" disabled={busy} hint="l" onClick={letIn}>
              Let it into the bank
            </Button>
          </>
        )}
      </section>
      {itemId ? null : (
        <SendBack
          id={id}
          words={state === 'sent back' ? proposal.words : ''}
          onSent={(view) => {
            onSeen(view)
            toast(`Sent back to ${student}.`, { undo: () => void act(takeBack(), 'Taken back.') })
          }}
        />
      )}
    </div>
  )
}

function SendBack({ id, words, onSent }: { id: string; words: string; onSent: (view: Queue) => void }) {
  const place = `send-back-${id}`
  const [start] = useState(() => ({ words: unsaved<string>(place) ?? words }))
  const form = useForm({
    shape,
    start,
    send: async (typed) => {
      onSent(await take(api.POST('/api/proposals/{id}/send-back', { params: { path: { id } }, body: typed })))
      dropUnsaved(place)
      return 'again'
    },
  })
  return (
    <form className="flex flex-col items-start gap-2 border-t pt-4" onSubmit={(e) => void form.submit(e)}>
      <h3 className="text-base">Or could it be better?</h3>
      <div className="w-full">
        <AreaField
          label="Words to its writer"
          rows={3}
          maxLength={1000}
          placeholder="such as: two of these could be right"
          value={form.values.words}
          onChange={(e) => {
            keepUnsaved(place, e.target.value)
            form.set('words', e.target.value)
          }}
          fault={form.fault('words')}
        />
      </div>
      <Button type="submit" disabled={form.busy}>
        Send it back
      </Button>
      <FaultLine error={form.problem} />
    </form>
  )
}
