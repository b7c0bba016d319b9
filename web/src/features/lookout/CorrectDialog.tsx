import { useRef, useState } from 'react'
import { Answer, Given } from '@/answers/Answer'
import { isBlank } from '@/answers/parts/values'
import { api, take, type Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

type Work = Schemas['LookoutWorkAnswerView']

/** Puts one answer right: what a student said aloud, or a slip in entering it. What was given is kept beside it. */
export function CorrectDialog({
  sitting,
  name,
  answer,
  onDone,
  onClose,
}: {
  sitting: string
  name: string
  answer: Work
  onDone: () => Promise<unknown>
  onClose: () => void
}) {
  const id = useRef(crypto.randomUUID())
  const [value, setValue] = useState(answer.response)
  const [why, setWhy] = useState('')
  const [error, setError] = useState<unknown>(null)
  const [busy, setBusy] = useState(false)
  const undo = () =>
    take(api.DELETE('/api/corrections/{id}', { params: { path: { id: id.current } } })).then(onDone, sorry)
  const keep = async () => {
    if (!value) return
    setBusy(true)
    try {
      const { entry, try: nth } = answer
      const body = { id: id.current, entry, try: nth, value, why: why.trim() }
      await take(api.POST('/api/sittings/{id}/corrections', { params: { path: { id: sitting } }, body }))
    } catch (thrown) {
      setBusy(false)
      return setError(thrown)
    }
    await onDone()
    onClose()
    toast(`Question ${answer.number} of ${name} is corrected.`, { undo: () => void undo() })
  }
  const same = JSON.stringify(value) === JSON.stringify(answer.response)
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Correct question ${answer.number} of ${name}`}
      foot={
        <Button kind="do" disabled={busy || same || isBlank(value) || why.trim() === ''} onClick={() => void keep()}>
          Keep the correction
        </Button>
      }
    >
      <div className="flex flex-col gap-4">
        <Rich html={answer.prompt} />
        <div>
          <p className="text-sm text-quiet">As it was given</p>
          <Given face={answer.face} value={answer.response} />
        </div>
        <div>
          <p className="text-sm text-quiet">As it is to count</p>
          <Answer
            face={answer.face}
            heading={`the corrected answer to question ${answer.number}`}
            value={value}
            disabled={busy}
            onChange={setValue}
          />
        </div>
        <TextField
          label="Why"
          maxLength={300}
          value={why}
          onChange={(e) => setWhy(e.target.value)}
          placeholder="such as: she said it aloud and slipped in typing"
        />
        <p className="text-[15px] text-quiet">
          Both answers are kept, with your name. The student reads why, and may answer again while the work is open. A
          mark that was set by hand stays.
        </p>
        <FaultLine error={error} />
      </div>
    </Dialog>
  )
}
