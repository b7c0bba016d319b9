import type { ReactNode } from 'react'
import type { Value } from '../kinds'
import { textOf } from './values'

const LONGEST = 20_000

/** Room for a longer text. */
export function WrittenInput({
  value,
  onChange,
  disabled,
  heading,
  below,
}: {
  value: Value | null
  onChange: (value: Value) => void
  disabled: boolean
  heading: string
  below?: ReactNode
}) {
  return (
    <label className="flex flex-col gap-2">
      <span className="sr-only">Your answer to {heading}</span>
      <textarea
        className="field min-h-44 text-[1em]"
        disabled={disabled}
        value={textOf(value)}
        maxLength={LONGEST}
        onChange={(e) => onChange({ text: e.target.value })}
      />
      {below}
    </label>
  )
}
