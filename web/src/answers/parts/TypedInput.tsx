import { useRef, type ReactNode } from 'react'
import type { Value } from '../kinds'
import { Signs } from './Signs'
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
  const field = useRef<HTMLInputElement>(null)
  return (
    <div className="flex flex-col items-start gap-1">
      <label className="flex items-center gap-3">
        <span className="sr-only">Your answer to {heading}</span>
        <input
          ref={field}
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
      {disabled ? null : <Signs field={field} onPut={(text) => onChange({ text })} />}
    </div>
  )
}
