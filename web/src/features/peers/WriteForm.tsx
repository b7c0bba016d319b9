import { Plus, X } from 'lucide-react'
import { useEffect, useRef, useState, type FormEvent } from 'react'
import { letter } from '@/answers/parts/letter'
import { api, problemOf, take, type Problem, type Schemas } from '@/lib/api/client'
import { dropLasting, keepLasting, lasting } from '@/lib/drafts/lasting'
import { Button } from '@/ui/Button'
import { AreaField, TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/toast'
import { RightOne } from './RightOne'

type Question = Schemas['ProposedQuestion']

const MOST = 6
const BLANK: Question = {
  prompt: '',
  options: [0, 1, 2].map(() => ({ text: '', why: '' })),
  key: 0,
  because: '',
}

/** A small form in which a student writes a question: what is asked, options, the right one, and why others would be taken. */
export function WriteForm({
  student,
  invitation,
  own,
  onSent,
  onLeave,
}: {
  student: string
  invitation: string
  /** the one that is changed; null for a new one */
  own: Schemas['PeersOwnProposalView'] | null
  onSent: (view: Schemas['PeersOwnInvitationsView']) => void
  onLeave?: () => void
}) {
  const place = own?.id ?? invitation
  // One that was sent and not answered is the same one when it is sent again, even after a reload.
  const [start] = useState(
    () =>
      lasting<{ id: string; question: Question }>(student, place) ?? {
        id: own?.id ?? crypto.randomUUID(),
        question: own?.question ?? BLANK,
      },
  )
  const [question, setQuestion] = useState(start.question)
  const [problem, setProblem] = useState<Problem | null>(null)
  const [busy, setBusy] = useState(false)
  const form = useRef<HTMLFormElement>(null)
  // Whoever is told that something is missing stands where it is.
  useEffect(() => {
    if (problem) form.current?.querySelector<HTMLElement>('[aria-invalid]')?.focus()
  }, [problem])
  const faults = problem?.fields ?? {}
  const change = (part: Partial<Question>) => {
    const next = { ...question, ...part }
    setQuestion(next)
    keepLasting(student, place, { id: start.id, question: next })
  }
  const option = (at: number, part: Partial<Question['options'][number]>) =>
    change({ options: question.options.map((o, i) => (i === at ? { ...o, ...part } : o)) })
  const drop = (at: number) =>
    change({
      options: question.options.filter((_, i) => i !== at),
      key:
        question.key > at || question.key === question.options.length - 1
          ? Math.max(0, question.key - 1)
          : question.key,
    })
  const send = async (event: FormEvent) => {
    event.preventDefault()
    if (busy) return
    setBusy(true)
    setProblem(null)
    try {
      const body = { invitationId: invitation, question, version: own?.version ?? 0 }
      const view = await take(api.PUT('/api/me/proposals/{id}', { params: { path: { id: start.id } }, body }))
      dropLasting(student, place)
      toast('It is with your teacher now.')
      onSent(view)
    } catch (thrown) {
      setProblem(problemOf(thrown))
      setBusy(false)
    }
  }
  return (
    <form
      ref={form}
      aria-label={own ? 'Change your question' : 'Write a question'}
      className="mt-4 flex flex-col gap-5 rounded border bg-sheet p-4"
      onSubmit={(event) => void send(event)}
    >
      <AreaField
        label="What do you ask?"
        rows={3}
        maxLength={1000}
        value={question.prompt}
        onChange={(e) => change({ prompt: e.target.value })}
        fault={faults.prompt}
      />
      <RightOne value={question.key} onChange={(key) => change({ key })}>
        {question.options.map((one, i) => {
          const right = i === question.key
          return (
            <li key={i} className="border-t pt-3">
              <div className="flex items-start gap-3">
                <RightOne.Pick at={i} label={`${letter(i)} is right`} />
                <div className="min-w-0 flex-1">
                  <TextField
                    label={`Answer ${letter(i)}${right ? ', the right one' : ''}`}
                    maxLength={200}
                    className="min-h-11"
                    value={one.text}
                    onChange={(e) => option(i, { text: e.target.value })}
                    fault={faults[`options.${i}.text`]}
                  />
                </div>
                {question.options.length > 2 ? (
                  <Button
                    kind="quiet"
                    className="mt-6 min-h-11"
                    aria-label={`Take answer ${letter(i)} out`}
                    onClick={() => drop(i)}
                  >
                    <X aria-hidden className="size-4" />
                  </Button>
                ) : null}
              </div>
              {right ? null : (
                <div className="mt-2 pl-9">
                  <TextField
                    label="Why would somebody take it?"
                    maxLength={300}
                    className="min-h-11"
                    placeholder="such as: forgets to subtract"
                    value={one.why}
                    onChange={(e) => option(i, { why: e.target.value })}
                    fault={faults[`options.${i}.why`]}
                  />
                </div>
              )}
            </li>
          )
        })}
      </RightOne>
      {question.options.length < MOST ? (
        <Button
          className="min-h-11 self-start"
          onClick={() => change({ options: [...question.options, { text: '', why: '' }] })}
        >
          <Plus aria-hidden className="size-4" /> One more answer
        </Button>
      ) : null}
      <AreaField
        label="Why is the right one right? You may leave this out."
        rows={2}
        maxLength={1000}
        value={question.because}
        onChange={(e) => change({ because: e.target.value })}
        fault={faults.because}
      />
      <FaultLine error={problem} />
      <div className="flex flex-wrap gap-3">
        <Button kind="do" size="large" type="submit" disabled={busy}>
          Send it to your teacher
        </Button>
        {onLeave ? (
          <Button className="min-h-12" onClick={onLeave}>
            Not now
          </Button>
        ) : null}
      </div>
    </form>
  )
}
