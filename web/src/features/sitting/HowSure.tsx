import { useId } from 'react'
import { SURE } from '@/lib/format'

/** Three steps of confidence beside an answer, by the browser's own controls. Saying nothing is allowed. */
export function HowSure({
  level,
  disabled,
  onSay,
}: {
  level: number | null
  disabled: boolean
  onSay: (level: number) => void
}) {
  const id = useId()
  return (
    <fieldset disabled={disabled}>
      <legend className="mb-1.5 text-[0.85em] text-quiet">How sure are you?</legend>
      <div className="flex gap-2">
        {SURE.map((word, i) => {
          const on = level === i + 1
          return (
            <label
              key={word}
              className={`relative flex min-h-11 flex-1 items-center justify-center rounded border px-2 text-center text-[0.9em] has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-blue ${on ? 'border-ink font-semibold' : 'border-edge'} ${disabled ? 'text-quiet' : 'cursor-pointer hover:border-ink'}`}
            >
              {on ? <span aria-hidden className="absolute -top-[3px] left-3 h-[5px] w-6 bg-rung" /> : null}
              <input type="radio" name={id} className="sr-only" checked={on} onChange={() => onSay(i + 1)} />
              {word}
            </label>
          )
        })}
      </div>
    </fieldset>
  )
}
