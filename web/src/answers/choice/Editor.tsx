import { Toggle } from 'radix-ui'
import type { Schemas } from '@/lib/api/client'
import type { EditorProps } from '../kinds'
import { Button } from '@/ui/Button'
import { RichEditor } from '@/ui/RichEditor'
import { freshOptionId, letter } from './letters'
import { Tick } from '@/ui/Tick'
import { LineTools, Meaning, moved, replaced, without } from '../parts/Lines'

export default function Editor({ rule, onChange }: EditorProps<'choice'>) {
  const setKey = (i: number, key: boolean) =>
    onChange({
      ...rule,
      options: rule.options.map((o, j) => (j === i ? { ...o, key } : rule.several || !key ? o : { ...o, key: false })),
    })
  return (
    <fieldset className="flex flex-col">
      <legend className="text-sm font-semibold">Options: tick the key</legend>
      {rule.options.map((option, i) => {
        const name = `option ${letter(i)}`
        const set = (change: Partial<Schemas['Option']>) =>
          onChange({ ...rule, options: replaced(rule.options, i, { ...option, ...change }) })
        return (
          <div key={option.id} className="grid grid-cols-[auto_1fr_auto] gap-x-3 gap-y-2 border-b py-3">
            <Toggle.Root
              pressed={option.key}
              onPressedChange={(key) => setKey(i, key)}
              aria-label={`${name} is the key`}
              className="group flex flex-col items-center gap-1 self-start pt-1"
            >
              <span
                aria-hidden
                className={`inline-block size-7 rounded border text-center leading-7 font-bold ${option.key ? 'border-ink bg-ink text-ground' : 'border-edge group-hover:border-ink'}`}
              >
                {letter(i)}
              </span>
              <span aria-hidden className={`text-xs ${option.key ? 'font-semibold text-good' : 'text-quiet'}`}>
                {option.key ? '✓ key' : 'key?'}
              </span>
            </Toggle.Root>
            <div className="flex min-w-0 flex-col gap-2">
              <RichEditor
                small
                hideLabel
                label={`Text of ${name}`}
                value={option.text}
                onChange={(text) => set({ text })}
              />
              <Meaning
                what={name}
                feedback={option.feedback}
                misconception={option.misconception}
                onFeedback={(feedback) => set({ feedback })}
                onMisconception={(misconception) => set({ misconception })}
              />
            </div>
            <LineTools
              what={name}
              onUp={i > 0 ? () => onChange({ ...rule, options: moved(rule.options, i, -1) }) : undefined}
              onRemove={() => onChange({ ...rule, options: without(rule.options, i) })}
            />
          </div>
        )
      })}
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1 pt-3">
        <Button
          disabled={rule.options.length >= 12}
          onClick={() =>
            onChange({
              ...rule,
              options: [
                ...rule.options,
                {
                  id: freshOptionId(rule.options.map((o) => o.id)),
                  text: '',
                  key: false,
                  feedback: '',
                  misconception: null,
                },
              ],
            })
          }
        >
          Add an option
        </Button>
        <Tick
          label="Several may be picked"
          checked={rule.several}
          onChange={(on) => onChange({ ...rule, several: on, perOption: on && rule.perOption })}
        />
        {rule.several ? (
          <Tick
            label="Part credit for each option"
            checked={rule.perOption}
            onChange={(on) => onChange({ ...rule, perOption: on })}
          />
        ) : null}
        <Tick
          label="Keep the last option last"
          checked={rule.keepLast}
          onChange={(on) => onChange({ ...rule, keepLast: on })}
        />
      </div>
    </fieldset>
  )
}
