import { useState } from 'react'
import { TextField } from '@/ui/Field'

/** Whether this is the address of a page (core: Paper/Link). */
const isAddress = (text: string) => {
  if (!/^https?:\/\/[^\s<>"'\\]+$/i.test(text) || text.length > 500 || !URL.canParse(text)) return false
  const { host, username } = new URL(text)
  return host !== '' && username === ''
}

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
  const whole = typed.trim()
  return (
    <TextField
      label="Address of a page outside"
      inputMode="url"
      placeholder="https://"
      value={typed}
      maxLength={500}
      fault={
        left && whole !== '' && !isAddress(whole)
          ? 'This is no address of a page: it begins with https:// and has no spaces.'
          : ''
      }
      note={
        whole === '' ? 'It opens in a new tab beside the paper; a school network may not let it through.' : undefined
      }
      onBlur={() => setLeft(true)}
      onChange={(e) => {
        setTyped(e.target.value)
        setLeft(false)
        const next = e.target.value.trim()
        onChange(isAddress(next) ? next : undefined)
      }}
    />
  )
}
