import { useState, type ComponentProps } from 'react'
import { TextField } from './Field'

/**
 * A whole number within bounds. What is being typed stays as it is typed; what is no such number is told at the field and changes
 * nothing. Arrows go up and down, as a number field of the browser would, whose wheel and letters it does without.
 */
export function CountField({
  value,
  least = 1,
  most,
  onChange,
  ...rest
}: { value: number; least?: number; most: number; onChange: (value: number) => void } & Omit<
  ComponentProps<typeof TextField>,
  'value' | 'onChange'
>) {
  const [typed, setTyped] = useState<string | null>(null)
  const read = (text: string) => (/^\s*\d{1,6}\s*$/.test(text) ? Number(text) : NaN)
  const fits = (n: number) => n >= least && n <= most
  const wrong = typed !== null && !fits(read(typed))
  return (
    <TextField
      {...rest}
      inputMode="numeric"
      fault={wrong ? `A whole number from ${least} to ${most}.` : rest.fault}
      value={typed ?? String(value)}
      onChange={(e) => {
        setTyped(e.target.value)
        const n = read(e.target.value)
        if (fits(n)) onChange(n)
      }}
      onKeyDown={(e) => {
        const by = e.key === 'ArrowUp' ? 1 : e.key === 'ArrowDown' ? -1 : 0
        if (by === 0) return
        e.preventDefault()
        setTyped(null)
        onChange(Math.max(least, Math.min(most, value + by)))
      }}
      onBlur={() => setTyped(null)}
    />
  )
}
