import { useState } from 'react'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { Bar } from '@/ui/Bar'
import { Button } from '@/ui/Button'
import { Radios } from '@/ui/Radios'
import { toast } from '@/ui/toast'
import { useSaid } from '@/lib/say'

/** Somebody else's question: answered once, then told which is right and why. */
export function PeerQuestion({
  question,
  onSeen,
}: {
  question: Schemas['PeersPeerQuestionView']
  onSeen: (view: Schemas['PeersOwnInvitationsView']) => void
}) {
  const { id, version, by, prompt, options, picked, key, why, because } = question
  const [choice, setChoice] = useState('')
  const [busy, setBusy] = useState(false)
  const told = picked !== null && key !== null
  const right = told && picked === key
  useSaid(told ? (right ? 'right' : `wrong, right is ${options[key] ?? ''}`) : '')
  const send = async () => {
    setBusy(true)
    try {
      const body = { option: Number(choice), version }
      onSeen(await take(api.POST('/api/me/proposals/{id}/answer', { params: { path: { id } }, body })))
    } catch (thrown) {
      const { message, detail } = problemOf(thrown)
      toast(`${message} ${detail}`, { bad: true })
    } finally {
      setBusy(false)
    }
  }
  return (
    <article aria-label="A question of your class" className="mt-4 rounded border bg-sheet p-4">
      {by ? <p className="mb-2 text-[16px] text-quiet">{by} asks</p> : null}
      <p className="break-words whitespace-pre-wrap">{prompt}</p>
      {told ? (
        <div className="mt-3">
          <p>
            <Bar code={right ? 'right' : 'wrong'} /> You took <b>{options[picked]}</b>
            {right ? ', which is right.' : ''}
          </p>
          {right ? null : (
            <>
              {why ? <p className="mt-1 break-words italic">“{why}”</p> : null}
              <p className="mt-1">
                Right is <b>{options[key]}</b>.
              </p>
            </>
          )}
          {because ? <p className="mt-1 break-words whitespace-pre-wrap">{because}</p> : null}
        </div>
      ) : (
        <>
          <div className="mt-3 [&_[role=radiogroup]>div]:min-h-11 [&_[role=radiogroup]>div]:items-center">
            <Radios
              label="Which is right?"
              hideLabel
              value={choice}
              onChange={setChoice}
              options={options.map((text, i) => ({ value: String(i), label: text }))}
            />
          </div>
          <Button kind="do" className="mt-3 min-h-12" disabled={choice === '' || busy} onClick={() => void send()}>
            Answer
          </Button>
        </>
      )}
    </article>
  )
}
