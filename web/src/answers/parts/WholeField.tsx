import { useState } from 'react'
import { TextField } from '@/ui/Field'

/** A whole number, or nothing. What is no number stays as it is typed until one leaves. */
export function WholeField({
  label,
  value,
  onChange,
  narrow = true,
}: {
  label: string
  value: number | null
  onChange: (value: number | null) => void
  narrow?: boolean
}) {
  const [typed, setTyped] = useState<string | null>(null)
  return (
    <div className={narrow ? 'w-32' : ''}>
      <TextField
        label={label}
        inputMode="numeric"
        value={typed ?? (value === null ? '' : String(value))}
        onChange={(e) => {
          setTyped(e.target.value)
          const text = e.target.value.trim()
          if (text === '') onChange(null)
          else if (/^[1-9]\d{0,4}$/.test(text)) onChange(Number(text))
        }}
        onBlur={() => setTyped(null)}
      />
    </div>
  )
}
