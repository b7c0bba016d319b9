import { useState } from 'react'
import { addressOf, NO_ADDRESS } from '@/lib/page'
import { Button } from './Button'
import { Dialog } from './Dialog'
import { TextField } from './Field'

/** Where chosen words lead to. */
export function LinkDialog({
  href,
  onKeep,
  onClose,
}: {
  href: string
  onKeep: (href: string) => void
  onClose: () => void
}) {
  const [typed, setTyped] = useState(href)
  const address = addressOf(typed)
  const fault = typed.trim() !== '' && !address ? NO_ADDRESS : undefined
  return (
    <Dialog
      open
      onClose={onClose}
      title="Link"
      foot={
        <>
          {href === '' ? null : (
            <Button kind="danger" onClick={() => onKeep('')}>
              Take the link away
            </Button>
          )}
          <Button kind="do" disabled={!address} onClick={() => address && onKeep(address)}>
            Link
          </Button>
        </>
      }
    >
      <form
        onSubmit={(e) => {
          e.preventDefault()
          if (address) onKeep(address)
        }}
      >
        <TextField
          label="Address of the page"
          placeholder="tides.example/tables"
          maxLength={500}
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          fault={fault}
          note="It opens beside the question, in a page of its own."
        />
      </form>
    </Dialog>
  )
}
