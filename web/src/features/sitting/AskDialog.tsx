import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { Radios } from '@/ui/Radios'

export type Kind = 'stuck' | 'look'

/** Asks for the teacher, with a line of words or without; or, once asked, lets it be. */
export function AskDialog({
  number,
  call,
  busy,
  onAsk,
  onNeverMind,
  onClose,
}: {
  /** of the question in front of the student */
  number: number
  call: Schemas['SittingCallView'] | null
  busy: boolean
  onAsk: (kind: Kind, words: string) => Promise<void>
  onNeverMind: () => Promise<void>
  onClose: () => void
}) {
  const [kind, setKind] = useState<Kind>('stuck')
  const [words, setWords] = useState('')
  if (call)
    return (
      <Dialog
        open
        onClose={onClose}
        title="Your teacher knows"
        foot={
          <Button disabled={busy} className="min-h-12" onClick={() => void onNeverMind().then(onClose)}>
            Never mind
          </Button>
        }
      >
        <p>
          {call.kind === 'look' ? 'You have asked them to look this over.' : 'You have said that you are stuck.'}
          {call.words ? ` “${call.words}”` : ''}
        </p>
        <p className="mt-2 text-quiet">You can go on meanwhile, at this question or another.</p>
      </Dialog>
    )
  return (
    <Dialog
      open
      onClose={onClose}
      title="Ask your teacher"
      foot={
        <Button kind="do" size="large" disabled={busy} onClick={() => void onAsk(kind, words.trim()).then(onClose)}>
          Ask
        </Button>
      }
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault()
          void onAsk(kind, words.trim()).then(onClose)
        }}
      >
        <Radios
          label={`What for, at question ${number}`}
          value={kind}
          onChange={setKind}
          options={[
            { value: 'stuck', label: 'I’m stuck' },
            { value: 'look', label: 'Look this over, please' },
          ]}
        />
        <TextField
          label="A line of words, if you like"
          maxLength={200}
          value={words}
          onChange={(e) => setWords(e.target.value)}
          placeholder="such as: do I take it away from high or low?"
        />
      </form>
    </Dialog>
  )
}
