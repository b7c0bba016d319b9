import type { ReactNode } from 'react'
import type { Value } from '../kinds'
import { textOf } from './values'

const LONGEST = 500

/** One line to type into. */
export function TypedInput({
  value,
  onChange,
  disabled,
  heading,
  after,
}: {
  value: Value | null
  onChange: (value: Value) => void
  disabled: boolean
  heading: string
  after?: ReactNode
}) {
  return (
    <label className="flex items-center gap-3">
      <span className="sr-only">Your answer to {heading}</span>
      <input
        className="field min-h-14 max-w-xs text-[1.1em]"
        disabled={disabled}
        value={textOf(value)}
        maxLength={LONGEST}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        enterKeyHint="next"
        onChange={(e) => onChange({ text: e.target.value })}
      />
      {after}
    </label>
  )
}
