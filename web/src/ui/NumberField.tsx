import { useState, type ComponentProps } from 'react'
import { decimal } from '@/lib/format'
import { TextField } from './Field'

/**
 * A field for an exact number, such as 3.65 or 7/2. What is being typed stays as it is typed, "4." on the way to 4.2
 * too; at rest 73/20 reads as 3.65. A comma is taken for the decimal point.
 */
export function NumberField({
  value,
  onChange,
  ...rest
}: { value: string; onChange: (value: string) => void } & Omit<
  ComponentProps<typeof TextField>,
  'value' | 'onChange'
>) {
  const [typed, setTyped] = useState<string | null>(null)
  return (
    <TextField
      {...rest}
      inputMode="decimal"
      value={typed ?? decimal(value)}
      onChange={(e) => {
        setTyped(e.target.value)
        onChange(
          e.target.value
            .trim()
            .replace(/^([\d+-]*),(\d*)$/, '$1.$2')
            .replace(/\.$/, ''),
        )
      }}
      onBlur={() => setTyped(null)}
    />
  )
}
