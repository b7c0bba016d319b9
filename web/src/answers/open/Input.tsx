import { Button } from '@/ui/Button'
import type { InputProps } from '../kinds'
import { LookedFor } from '../parts/LookedFor'
import { WrittenInput } from '../parts/WrittenInput'
import { textOf } from '../parts/values'
import { boundInWords } from './words'

/** Room for a longer text, beginnings to go on from, and what a marker looks for. */
export default function Input({ face, ...rest }: InputProps<'open'>) {
  const text = textOf(rest.value)
  const bound = boundInWords(text, face.least, face.most)
  return (
    <div className="flex flex-col gap-3">
      {face.starters.length > 0 && !rest.disabled ? (
        <div role="group" aria-label="Beginnings to go on from" className="flex flex-wrap gap-2">
          {face.starters.map((starter) => (
            <Button
              key={starter}
              className="min-h-11"
              onClick={() => rest.onChange({ text: `${text}${text === '' || /\s$/.test(text) ? '' : ' '}${starter} ` })}
            >
              {starter} …
            </Button>
          ))}
        </div>
      ) : null}
      <WrittenInput
        {...rest}
        below={
          <span className="flex flex-wrap justify-between gap-x-4">
            <LookedFor criteria={face.criteria} />
            {bound ? <span className="text-[0.85em] text-quiet tabular-nums">{bound}</span> : null}
          </span>
        }
      />
    </div>
  )
}
