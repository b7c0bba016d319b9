import { useId } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import type { Value } from './store'

type Props = {
  face: Schemas['SittingFaceView']
  value: Value | null
  onChange: (value: Value) => void
  disabled: boolean
  heading: string
}

/** The place to answer: big targets, every key works. */
export function Answer({ face, value, onChange, disabled, heading }: Props) {
  const id = useId()
  if (face.type === 'choice') {
    const picked = value?.options ?? []
    const pick = (option: string) =>
      onChange({
        options: face.several
          ? picked.includes(option)
            ? picked.filter((o) => o !== option)
            : [...picked, option]
          : [option],
      })
    return (
      <fieldset disabled={disabled}>
        <legend className="mb-2 text-[0.85em] text-quiet">
          {face.several ? 'Pick all that are right' : 'Pick one'}
        </legend>
        <div className="flex flex-col gap-2.5">
          {face.options.map((option, i) => {
            const on = picked.includes(option.id)
            return (
              <label
                key={option.id}
                className={`relative flex min-h-14 items-center gap-4 rounded border-2 bg-sheet px-4 py-2 has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-blue ${on ? 'border-ink' : 'border-line'} ${disabled ? '' : 'cursor-pointer hover:border-edge'}`}
              >
                {on ? <span aria-hidden className="absolute -top-[5px] left-4 h-2 w-8 bg-rust" /> : null}
                <input
                  type={face.several ? 'checkbox' : 'radio'}
                  name={id}
                  className="sr-only"
                  checked={on}
                  onChange={() => pick(option.id)}
                />
                <span
                  aria-hidden
                  className={`inline-block size-8 shrink-0 rounded border text-center leading-8 font-bold ${on ? 'border-ink bg-ink text-ground' : 'border-edge'}`}
                >
                  {String.fromCharCode(65 + i)}
                </span>
                <Rich html={option.text} className="min-w-0 flex-1" />
              </label>
            )
          })}
        </div>
      </fieldset>
    )
  }
  if (face.type === 'open') {
    return (
      <label className="flex flex-col gap-2">
        <span className="sr-only">Your answer to {heading}</span>
        <textarea
          className="field min-h-44 text-[1em]"
          disabled={disabled}
          value={value?.text ?? ''}
          maxLength={20_000}
          onChange={(e) => onChange({ text: e.target.value })}
        />
        {face.criteria.length > 0 ? (
          <span className="text-[0.85em] text-quiet">
            A teacher looks for: {face.criteria.join(', ').toLowerCase()}
          </span>
        ) : null}
      </label>
    )
  }
  return (
    <label className="flex items-center gap-3">
      <span className="sr-only">Your answer to {heading}</span>
      <input
        className="field min-h-14 max-w-xs text-[1.1em]"
        disabled={disabled}
        value={value?.text ?? ''}
        maxLength={500}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        enterKeyHint="next"
        onChange={(e) => onChange({ text: e.target.value })}
      />
      {face.unit ? (
        <span className="text-quiet">{face.unitUse === 'required' ? 'with its unit' : face.unit}</span>
      ) : null}
    </label>
  )
}

export const isBlank = (value: Value | null | undefined) =>
  !value || ((value.options?.length ?? 0) === 0 && (value.text ?? '').trim() === '')
