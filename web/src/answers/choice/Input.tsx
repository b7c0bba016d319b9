import { useId } from 'react'
import { Rich } from '@/lib/Rich'
import type { InputProps } from '../kinds'
import { optionsOf } from '../parts/values'
import { letter } from '../parts/letter'

const bare = (html: string) => html.replace(/<[^>]*>/g, '').trim()

/**
 * Options to pick, in the order for this student. The controls are the browser's own: they are lighter for a phone, and
 * every reader of screens knows them.
 */
export default function Input({ face, value, onChange, disabled }: InputProps<'choice'>) {
  const id = useId()
  const picked = optionsOf(value)
  const pick = (option: string) =>
    onChange({
      options: face.several
        ? picked.includes(option)
          ? picked.filter((o) => o !== option)
          : [...picked, option]
        : [option],
    })
  return (
    <fieldset disabled={disabled} className="min-w-0">
      <legend className="mb-2 text-[0.85em] text-quiet">{face.several ? 'Pick all that are right' : 'Pick one'}</legend>
      <div className="flex flex-col gap-2.5">
        {face.options.map((option, i) => {
          const on = picked.includes(option.id)
          return (
            <label
              key={option.id}
              className={`relative flex min-h-14 items-center gap-4 rounded border-2 bg-sheet px-4 py-2 has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-blue ${on ? 'border-ink' : 'border-edge'} ${disabled ? '' : 'cursor-pointer hover:border-ink'}`}
            >
              {on ? <span aria-hidden className="absolute -top-[5px] left-4 h-2 w-8 bg-rung" /> : null}
              <input
                type={face.several ? 'checkbox' : 'radio'}
                name={id}
                className="sr-only"
                // An option that is still being written has no words to be named by.
                aria-label={option.text === '' ? `option ${letter(i)}, empty` : undefined}
                checked={on}
                onChange={() => pick(option.id)}
              />
              <span
                aria-hidden
                className={`inline-block size-8 shrink-0 rounded border text-center leading-8 font-bold ${on ? 'border-ink bg-ink text-ground' : 'border-edge'}`}
              >
                {letter(i)}
              </span>
              <Rich
                html={option.text}
                // On a sheet the letter is all there is; it is drawn once and said once.
                className={bare(option.text) === letter(i) ? 'sr-only' : 'min-w-0 flex-1'}
              />
            </label>
          )
        })}
      </div>
    </fieldset>
  )
}
