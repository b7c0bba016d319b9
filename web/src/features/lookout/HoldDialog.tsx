import { useState } from 'react'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'

/** Stops them, with words on their screens or without. Enter is enough. */
export function HoldDialog({
  whom,
  onHold,
  onClose,
}: {
  whom: string
  onHold: (words: string) => Promise<void>
  onClose: () => void
}) {
  const [words, setWords] = useState('')
  const [error, setError] = useState<unknown>(null)
  const hold = () => void onHold(words.trim()).then(onClose, setError)
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Hold ${whom}`}
      foot={
        <Button kind="do" onClick={hold}>
          Hold {whom}
        </Button>
      }
    >
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault()
          hold()
        }}
      >
        <TextField
          label="Words on their screens, if you like"
          maxLength={300}
          autoFocus
          value={words}
          onChange={(e) => setWords(e.target.value)}
          placeholder="such as: eyes to the front"
        />
        <p className="text-[15px] text-quiet">
          What they have typed is kept. Time that is set stands still until you release them.
        </p>
        <FaultLine error={error} />
      </form>
    </Dialog>
  )
}
