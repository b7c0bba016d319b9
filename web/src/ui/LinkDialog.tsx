import { useState } from 'react'
import { Button } from './Button'
import { Dialog } from './Dialog'
import { TextField } from './Field'

/** An address as people type it, or null where it is none. */
function addressOf(typed: string): string | null {
  const text = typed.trim()
  try {
    const url = new URL(/^[a-z]+:/i.test(text) ? text : `https://${text}`)
    return /^https?:$/.test(url.protocol) && url.hostname.includes('.') ? url.href : null
  } catch {
    return null
  }
}

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
  const fault =
    typed.trim() !== '' && !address ? 'This is no address of a page, such as tides.example/tables.' : undefined
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
