import { useRef, useState } from 'react'
import { Answer } from '@/answers/Answer'
import { api, take, type Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import { useSaid } from '@/lib/say'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'

type View = Schemas['SittingSittingView']
type Help = Schemas['SittingOwnHelpView']

/** Help that the student gives or has: a strip that does not move the page, and the talk when it is opened. */
export function Helping({ view, help, onSeen }: { view: View; help: Help; onSeen: (view: View) => void }) {
  const [open, setOpen] = useState(false)
  const [error, setError] = useState<unknown>(null)
  const [busy, setBusy] = useState(false)
  const theirs = help.lines.filter((line) => line.byHelper !== help.isHelper)
  const [read, setRead] = useState(0)
  const fresh = open ? 0 : theirs.length - read
  const path = { params: { path: { id: view.id } } }
  const act = async (does: () => Promise<View>) => {
    setBusy(true)
    setError(null)
    try {
      onSeen(await does())
    } catch (thrown) {
      setError(thrown)
    } finally {
      setBusy(false)
    }
  }
  const leave = () => void act(() => take(api.DELETE('/api/me/sittings/{id}/help', path)))
  const show = (next: boolean) => {
    setOpen(next)
    setRead(theirs.length)
  }
  const standing =
    help.state === 'asked'
      ? 'Somebody in your class is stuck on a question that you have done. Will you help?'
      : help.isHelper
        ? `You are helping ${help.other}.`
        : `${help.other} is helping you with question ${help.number}.`
  useSaid(fresh > 0 ? `${help.other}: ${theirs.at(-1)?.words ?? ''}` : standing)
  return (
    <section aria-label="Help between students" className="border-t bg-pale text-[16px]">
      <div className="mx-auto flex max-w-6xl flex-wrap items-center gap-2 px-4 py-2">
        <p className="min-w-48 flex-1">
          {standing}
          {fresh > 0 ? <b className="ml-2">{fresh} new</b> : null}
        </p>
        {help.state === 'asked' ? (
          <span className="flex gap-2">
            <Button className="min-h-11" disabled={busy} onClick={leave}>
              Not now
            </Button>
            <Button
              kind="do"
              className="min-h-11"
              disabled={busy}
              onClick={() =>
                void act(() => take(api.PUT('/api/me/sittings/{id}/help', path))).then(() => setOpen(true))
              }
            >
              Yes, show me
            </Button>
          </span>
        ) : (
          <Button className="min-h-11" onClick={() => show(true)}>
            Read and write
          </Button>
        )}
        {open ? null : <FaultLine error={error} />}
      </div>
      {open && help.state === 'on' ? (
        <Dialog
          open
          onClose={() => show(false)}
          title={help.isHelper ? `Helping ${help.other}` : `${help.other} helps with question ${help.number}`}
          foot={
            <Button disabled={busy} className="min-h-11" onClick={leave}>
              {help.isHelper ? 'Stop helping' : 'I need no more help'}
            </Button>
          }
        >
          <div className="flex flex-col gap-4 text-[18px]">
            {help.face ? (
              <div className="flex flex-col gap-3 border-b pb-4">
                <Rich html={help.face.prompt} />
                <Answer
                  face={help.face}
                  heading="the question they are stuck on"
                  value={null}
                  disabled
                  onChange={() => undefined}
                />
              </div>
            ) : null}
            <p className="text-[15px] text-quiet">
              You are {help.you} here. Neither of you is told who the other is, and your teacher reads along.
              {help.isHelper ? ' Ask what they have tried; a hint helps more than an answer.' : ''}
            </p>
            <Lines help={help} />
            <Say
              busy={busy}
              error={error}
              onSay={async (id, words) => {
                let said = false
                await act(async () => {
                  const next = await take(api.POST('/api/me/sittings/{id}/help', { ...path, body: { id, words } }))
                  said = true
                  return next
                })
                return said
              }}
            />
          </div>
        </Dialog>
      ) : null}
    </section>
  )
}

function Lines({ help }: { help: Help }) {
  if (help.lines.length === 0) return null
  return (
    <ol aria-label="What was said" className="flex flex-col gap-2">
      {help.lines.map((line) => {
        const mine = line.byHelper === help.isHelper
        return (
          <li key={line.id} className={mine ? 'pl-8' : 'pr-8'}>
            <b className="block text-[15px] text-quiet">{mine ? 'You' : help.other}</b>
            <span className="break-words whitespace-pre-wrap">{line.words}</span>
            {mine && line.held !== null && !line.let ? (
              <span className="block text-[15px] text-blue">
                There may be {line.held} in this. Your teacher reads it first; you can say it in other words.
              </span>
            ) : null}
          </li>
        )
      })}
    </ol>
  )
}

/** What could not be sent stays, and is the same line when it is sent again. */
function Say({
  busy,
  error,
  onSay,
}: {
  busy: boolean
  error: unknown
  onSay: (id: string, words: string) => Promise<boolean>
}) {
  const [words, setWords] = useState('')
  const id = useRef(crypto.randomUUID())
  const say = async () => {
    if (words.trim() === '' || !(await onSay(id.current, words.trim()))) return
    id.current = crypto.randomUUID()
    setWords('')
  }
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault()
        void say()
      }}
    >
      <div className="min-w-48 flex-1">
        <TextField label="Say" maxLength={300} value={words} autoFocus onChange={(e) => setWords(e.target.value)} />
      </div>
      <Button kind="do" type="submit" className="min-h-11" disabled={busy || words.trim() === ''}>
        Say it
      </Button>
      <FaultLine error={error} />
    </form>
  )
}
