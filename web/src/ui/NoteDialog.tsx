import { useState } from 'react'
import { Button } from './Button'
import { Dialog } from './Dialog'
import { TextField } from './Field'

/** What stands at the margin beside chosen words. */
export function NoteDialog({
  note,
  onKeep,
  onClose,
}: {
  note: string
  onKeep: (note: string) => void
  onClose: () => void
}) {
  const [typed, setTyped] = useState(note)
  const words = typed.trim()
  return (
    <Dialog
      open
      onClose={onClose}
      title="Note at the margin"
      foot={
        <>
          {note === '' ? null : (
            <Button kind="danger" onClick={() => onKeep('')}>
              Take the note away
            </Button>
          )}
          <Button kind="do" disabled={words === ''} onClick={() => onKeep(words)}>
            Put it there
          </Button>
        </>
      }
    >
      <form
        onSubmit={(e) => {
          e.preventDefault()
          if (words !== '') onKeep(words)
        }}
      >
        <TextField
          label="Note"
          maxLength={200}
          autoFocus
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          note="Beside the words, where there is room; right after them on a phone."
        />
      </form>
    </Dialog>
  )
}
