import type { Schemas } from '@/lib/api/client'
import { TextField } from '@/ui/Field'
import { Tick } from '@/ui/Tick'
import type { EditorProps, RuleOf } from '../kinds'
import { Credit, LEFT_OUT, Line, Meaning, NextLine, replaced, without } from '../parts/Lines'
import { InDraw } from '../parts/InDraw'
import { LineNumber } from '../parts/LineNumber'
import { variedBy } from './varied'

/** What is taken for the same, on an answer of this very question. */
function Alike({ rule }: { rule: RuleOf<'text'> }) {
  const text = rule.forms.find((f) => f.text.trim() !== '' && !f.blanks)?.text.trim()
  const written = text && variedBy(rule, text)
  return written && written !== text ? (
    <p className="pt-2 text-sm text-quiet">
      So <b>“{written}”</b> counts as “{text}”.
    </p>
  ) : null
}

export default function Editor({ rule, onChange }: EditorProps<'text'>) {
  const folding = (change: Partial<typeof rule.folding>) =>
    onChange({ ...rule, folding: { ...rule.folding, ...change } })
  return (
    <fieldset>
      <legend className="text-sm text-quiet">Accepted forms, and wrong ones worth knowing</legend>
      <div className="mt-1">
        {rule.forms.map((written, i) => {
          const form = { ...LEFT_OUT, ...written }
          const name = `form ${i + 1}`
          const set = (change: Partial<Schemas['Form']>) =>
            onChange({ ...rule, forms: replaced(rule.forms, i, { ...form, ...change }) })
          return (
            <Line
              key={i}
              what={name}
              mark={<LineNumber of={i} />}
              onRemove={() => onChange({ ...rule, forms: without(rule.forms, i) })}
            >
              <div className="flex flex-wrap items-center gap-x-3">
                <div className="min-w-40 flex-1">
                  <TextField
                    label={`Text of ${name}`}
                    hideLabel
                    inPlace
                    className="font-semibold"
                    value={form.text}
                    placeholder="an answer"
                    onChange={(e) => set({ text: e.target.value })}
                  />
                </div>
                <InDraw text={form.text} />
                <Credit what={name} value={form.credit} onChange={(credit) => set({ credit })} />
              </div>
              {/[*_]/.test(form.text) ? (
                <Tick
                  label="* stands for any words, _ for one"
                  checked={form.blanks ?? false}
                  onChange={(blanks) => set({ blanks })}
                />
              ) : null}
              <Meaning what={name} line={form} set={set} />
            </Line>
          )
        })}
        <NextLine
          label="Next form"
          placeholder="Type another answer, or paste a list"
          mark={<LineNumber of={rule.forms.length} />}
          onLines={(lines) =>
            onChange({
              ...rule,
              forms: [
                ...rule.forms,
                ...lines.map((text) => ({ text, credit: '1', feedback: '', misconception: null })),
              ],
            })
          }
        />
      </div>
      <div className="flex flex-wrap gap-x-6 pt-3 text-[15px]">
        <Tick
          label="Spelling slips count as the nearest form"
          checked={rule.allowSlips}
          onChange={(on) => onChange({ ...rule, allowSlips: on })}
        />
        <Tick label="Capitals do not matter" checked={rule.folding.case} onChange={(on) => folding({ case: on })} />
        <Tick
          label="Accents do not matter"
          checked={rule.folding.accents}
          onChange={(on) => folding({ accents: on })}
        />
        <Tick
          label="Punctuation does not matter"
          checked={rule.folding.punctuation}
          onChange={(on) => folding({ punctuation: on })}
        />
        <Tick
          label="“The” and “a” in front do not matter"
          checked={rule.folding.articles}
          onChange={(on) => folding({ articles: on })}
        />
        <Tick
          label="Words in any order"
          checked={rule.anyOrder ?? false}
          onChange={(on) => onChange({ ...rule, anyOrder: on })}
        />
      </div>
      <Alike rule={rule} />
    </fieldset>
  )
}
