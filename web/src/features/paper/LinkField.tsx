import { useState } from 'react'
import { addressOf, NO_ADDRESS } from '@/lib/page'
import { TextField } from '@/ui/Field'

/** The address of a page outside. What is no address yet is kept here and not given on. */
export function LinkField({
  link,
  onChange,
}: {
  link: string | undefined
  onChange: (link: string | undefined) => void
}) {
  const [typed, setTyped] = useState(link ?? '')
  const [left, setLeft] = useState(false)
  const given = (text: string) => addressOf(text) ?? undefined
  // What comes from outside, such as an undo, is shown; one's own typing is already there.
  const [before, setBefore] = useState(link)
  if (link !== before) {
    setBefore(link)
    if (given(typed) !== link) setTyped(link ?? '')
  }
  const empty = typed.trim() === ''
  return (
    <TextField
      label="Address of a page outside"
      inputMode="url"
      placeholder="tides.example/tables"
      value={typed}
      maxLength={500}
      fault={left && !empty && !given(typed) ? NO_ADDRESS : ''}
      note={empty ? 'It opens in a new tab beside the paper; a school network may not let it through.' : undefined}
      onBlur={() => setLeft(true)}
      onChange={(e) => {
        setTyped(e.target.value)
        setLeft(false)
        onChange(given(e.target.value))
      }}
    />
  )
}
