import { useId } from 'react'
import type { InputProps } from '../kinds'
import { letter } from '../parts/letter'
import { optionsOf, plainOf } from '../parts/values'

/** What fits beside a mark on a page; longer words have their letter there. */
const SHORT = 12

/** Options to pick where they stand on a page. */
export default function Small({ face, value, onChange, disabled, heading }: InputProps<'choice'>) {
  const id = useId()
  const picked = optionsOf(value)
  return (
    <fieldset disabled={disabled} className="flex min-w-0 flex-wrap gap-1">
      <legend className="sr-only">Answer to {heading}, on the page</legend>
      {face.options.map((option, i) => {
        const words = plainOf(option.text)
        const on = picked.includes(option.id)
        const others = picked.filter((o) => o !== option.id)
        return (
          <label
            key={option.id}
            className={`flex h-8 min-w-8 items-center justify-center rounded border-2 px-1 text-[14px] leading-none has-focus-visible:outline-2 has-focus-visible:outline-blue ${on ? 'border-ink bg-ink font-bold text-ground' : 'border-edge bg-sheet/95'}`}
          >
            <input
              type={face.several ? 'checkbox' : 'radio'}
              name={id}
              className="sr-only"
              aria-label={words || `option ${letter(i)}`}
              checked={on}
              onChange={() =>
                onChange({ options: face.several ? (on ? others : [...picked, option.id]) : [option.id] })
              }
            />
            <span aria-hidden>{words.length <= SHORT ? words : letter(i)}</span>
          </label>
        )
      })}
    </fieldset>
  )
}
