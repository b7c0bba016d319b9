import { useRef, type ReactNode } from 'react'
import type { Value } from '../kinds'
import { Signs } from './Signs'
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
  const field = useRef<HTMLTextAreaElement>(null)
  return (
    <div className="flex flex-col gap-1">
      <label className="flex flex-col gap-2">
        <span className="sr-only">Your answer to {heading}</span>
        <textarea
          ref={field}
          className="field min-h-44 text-[1em]"
          disabled={disabled}
          value={textOf(value)}
          maxLength={LONGEST}
          onChange={(e) => onChange({ text: e.target.value })}
        />
        {below}
      </label>
      {disabled ? null : <Signs field={field} onPut={(text) => onChange({ text: text.slice(0, LONGEST) })} />}
    </div>
  )
}
