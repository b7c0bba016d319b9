import type { InputProps } from '../kinds'
import { textOf } from '../parts/values'

const LONGEST = 20_000

/** Room for a longer text, and what a marker looks for. */
export default function Input({ face, value, onChange, disabled, heading }: InputProps<'open'>) {
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
      {face.criteria.length > 0 ? (
        <span className="text-[0.85em] text-quiet">A teacher looks for: {face.criteria.join(', ').toLowerCase()}</span>
      ) : null}
    </label>
  )
}
