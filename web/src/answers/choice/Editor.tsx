import { asHtml } from '@/lib/said'
import { Toggle } from 'radix-ui'
import type { Schemas } from '@/lib/api/client'
import { RichEditor } from '@/ui/RichEditor'
import { Tick } from '@/ui/Tick'
import type { EditorProps } from '../kinds'
import { Credit, Feedback, Idea, Line, listedFrom, moved, NextLine, replaced, UNSAID, without } from '../parts/Lines'
import { freshOptionId } from './optionId'
import { InDraw } from '../parts/InDraw'
import { letter } from '../parts/letter'

const MOST = 12
type Option = Schemas['Option']
const earned = (option: { key: boolean }) => (option.key ? '1' : '0')
const box = 'inline-block size-7 rounded border text-center leading-7 font-bold'

export default function Editor({ rule, onChange }: EditorProps<'choice'>) {
  const setKey = (i: number, key: boolean) =>
    onChange({
      ...rule,
      options: rule.options.map((o, j) => (j === i ? { ...o, key } : rule.several || !key ? o : { ...o, key: false })),
    })
  const own = rule.options.some((o) => o.credit !== undefined)
  const setOwn = (on: boolean) =>
    onChange({
      ...rule,
      options: rule.options.map((o) => ({ ...o, credit: on ? earned(o) : undefined })),
    })
  const more = (options: readonly Option[], lines: readonly string[]) =>
    lines.slice(0, Math.max(0, MOST - options.length)).reduce<Option[]>(
      (all, line) => [
        ...all,
        {
          id: freshOptionId(all.map((o) => o.id)),
          text: asHtml(line),
          key: false,
          feedback: '',
          misconception: null,
        },
      ],
      [...options],
    )
  return (
    <fieldset>
      <legend className="sr-only">Options; their letter makes one the key</legend>
      <div>
        {rule.options.map((written, i) => {
          const option = { ...UNSAID, ...written }
          const name = `option ${letter(i)}`
          const set = (change: Partial<Option>) =>
            onChange({ ...rule, options: replaced(rule.options, i, { ...option, ...change }) })
          return (
            <Line
              key={option.id}
              what={name}
              onUp={i > 0 ? () => onChange({ ...rule, options: moved(rule.options, i, -1) }) : undefined}
              onRemove={() => onChange({ ...rule, options: without(rule.options, i) })}
              mark={
                <Toggle.Root
                  pressed={option.key}
                  onPressedChange={(key) => setKey(i, key)}
                  aria-label={`${name} is the key`}
                  className="group flex w-9 flex-col items-center"
                >
                  <span
                    aria-hidden
                    className={`${box} ${option.key ? 'border-ink bg-ink text-ground' : 'border-edge group-hover:border-ink'}`}
                  >
                    {letter(i)}
                  </span>
                  <span aria-hidden className={`text-xs ${option.key ? 'font-semibold text-good' : 'text-quiet'}`}>
                    {option.key ? '✓ key' : 'key?'}
                  </span>
                </Toggle.Root>
              }
            >
              <div className="flex flex-wrap items-start gap-x-3">
                <div className="min-w-36 flex-1 font-semibold">
                  <RichEditor
                    small
                    hideLabel
                    inPlace
                    label={`Text of ${name}`}
                    placeholder="an option"
                    value={option.text}
                    onChange={(text) => set({ text })}
                    onPastedIntoEmpty={(words) => {
                      const list = listedFrom(rule.options, i, words, more)
                      if (list) onChange({ ...rule, options: list.lines })
                      return list?.stays ?? null
                    }}
                  />
                </div>
                <InDraw text={option.text} />
                {own ? (
                  <Credit what={name} value={option.credit ?? earned(option)} onChange={(credit) => set({ credit })} />
                ) : null}
                <Idea
                  what={name}
                  misconception={option.misconception}
                  onMisconception={(misconception) => set({ misconception })}
                />
              </div>
              <Feedback what={name} feedback={option.feedback} onFeedback={(feedback) => set({ feedback })} />
            </Line>
          )
        })}
        {rule.options.length < MOST ? (
          <NextLine
            label="Next option"
            placeholder="Type the next option, or paste a list"
            onLines={(lines) => onChange({ ...rule, options: more(rule.options, lines) })}
            mark={
              <span aria-hidden className="flex w-9 justify-center">
                <span className={`${box} border-dashed border-edge text-quiet`}>{letter(rule.options.length)}</span>
              </span>
            }
          />
        ) : null}
      </div>
      <div className="flex flex-wrap gap-x-6 pt-3 text-[15px]">
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
        <Tick label="A credit of its own for each option" checked={own} onChange={setOwn} />
        <Tick
          label="Keep the last option last"
          checked={rule.keepLast}
          onChange={(on) => onChange({ ...rule, keepLast: on })}
        />
      </div>
    </fieldset>
  )
}
