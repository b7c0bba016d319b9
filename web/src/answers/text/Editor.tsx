import type { Schemas } from '@/lib/api/client'
import type { EditorProps } from '../kinds'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { Tick } from '@/ui/Tick'
import { Credit, LineTools, Meaning, replaced, without } from '../parts/Lines'

export default function Editor({ rule, onChange }: EditorProps<'text'>) {
  return (
    <fieldset className="flex flex-col">
      <legend className="text-sm font-semibold">Accepted forms, and wrong ones worth knowing</legend>
      {rule.forms.map((form, i) => {
        const name = `form ${i + 1}`
        const set = (change: Partial<Schemas['Form']>) =>
          onChange({ ...rule, forms: replaced(rule.forms, i, { ...form, ...change }) })
        return (
          <div key={i} className="grid grid-cols-[1fr_auto] gap-x-3 gap-y-2 border-b py-3">
            <div className="flex flex-col gap-2">
              <div className="flex gap-2">
                <TextField
                  label={`Text of ${name}`}
                  hideLabel
                  value={form.text}
                  placeholder="an answer"
                  onChange={(e) => set({ text: e.target.value })}
                  className="min-w-56"
                />
                <Credit what={name} value={form.credit} onChange={(credit) => set({ credit })} />
              </div>
              <Meaning
                what={name}
                feedback={form.feedback}
                misconception={form.misconception}
                onFeedback={(feedback) => set({ feedback })}
                onMisconception={(misconception) => set({ misconception })}
              />
            </div>
            <LineTools what={name} onRemove={() => onChange({ ...rule, forms: without(rule.forms, i) })} />
          </div>
        )
      })}
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1 pt-3">
        <Button
          onClick={() =>
            onChange({ ...rule, forms: [...rule.forms, { text: '', credit: '1', feedback: '', misconception: null }] })
          }
        >
          Add a form
        </Button>
        <Tick
          label="Spelling slips count as the nearest form"
          checked={rule.allowSlips}
          onChange={(on) => onChange({ ...rule, allowSlips: on })}
        />
        <Tick
          label="Capitals do not matter"
          checked={rule.folding.case}
          onChange={(on) => onChange({ ...rule, folding: { ...rule.folding, case: on } })}
        />
        <Tick
          label="Accents do not matter"
          checked={rule.folding.accents}
          onChange={(on) => onChange({ ...rule, folding: { ...rule.folding, accents: on } })}
        />
        <Tick
          label="Punctuation does not matter"
          checked={rule.folding.punctuation}
          onChange={(on) => onChange({ ...rule, folding: { ...rule.folding, punctuation: on } })}
        />
        <Tick
          label="“The” and “a” in front do not matter"
          checked={rule.folding.articles}
          onChange={(on) => onChange({ ...rule, folding: { ...rule.folding, articles: on } })}
        />
      </div>
    </fieldset>
  )
}
