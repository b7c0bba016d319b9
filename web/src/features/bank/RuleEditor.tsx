import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { SelectField, TextField, Tick } from '@/ui/Field'
import { RichEditor } from '@/ui/RichEditor'
import { decimal } from './ItemCard'
import { TermSelect } from './TermSelect'
import { useTerms } from './terms'
import { freshOptionId, type Item } from './types'

const replaced = <T,>(list: T[], i: number, next: T) => list.map((old, j) => (j === i ? next : old))
const without = <T,>(list: T[], i: number) => list.filter((_, j) => j !== i)
const moved = <T,>(list: T[], i: number, by: number) => {
  const next = [...list]
  const [one] = next.splice(i, 1)
  if (one !== undefined) next.splice(Math.max(0, Math.min(next.length, i + by)), 0, one)
  return next
}

/** The answer rule of a question, edited in place. Each line carries feedback and the wrong idea it shows. */
export function RuleEditor({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  switch (item.type) {
    case 'choice':
      return <ChoiceEditor rule={item.rule} onChange={(rule) => onChange({ ...item, rule })} />
    case 'text':
      return <TextEditor rule={item.rule} onChange={(rule) => onChange({ ...item, rule })} />
    case 'number':
      return <NumberEditor rule={item.rule} onChange={(rule) => onChange({ ...item, rule })} />
    case 'open':
      return <RubricEditor rule={item.rule} onChange={(rule) => onChange({ ...item, rule })} />
  }
}

/** Feedback and misconception of one line. */
function Meaning({
  feedback,
  misconception,
  onFeedback,
  onMisconception,
  what,
}: {
  feedback: string
  misconception: string | null
  onFeedback: (text: string) => void
  onMisconception: (id: string | null) => void
  what: string
}) {
  return (
    <div className="grid gap-2 sm:grid-cols-2">
      <TextField
        label={`Feedback for ${what}`}
        hideLabel
        placeholder="Feedback to the student"
        value={feedback}
        onChange={(e) => onFeedback(e.target.value)}
        className="!py-1 text-[15px]"
      />
      <TermSelect
        kind="misconceptions"
        label={`Misconception behind ${what}`}
        hideLabel
        value={misconception}
        onChange={onMisconception}
      />
    </div>
  )
}

function LineTools({ what, onUp, onRemove }: { what: string; onUp?: () => void; onRemove: () => void }) {
  return (
    <div className="flex flex-col items-end gap-1">
      <Button kind="quiet" size="small" onClick={onRemove} aria-label={`Remove ${what}`}>
        Remove
      </Button>
      {onUp ? (
        <Button kind="quiet" size="small" onClick={onUp} aria-label={`Move ${what} up`}>
          Up
        </Button>
      ) : null}
    </div>
  )
}

function ChoiceEditor({
  rule,
  onChange,
}: {
  rule: Schemas['ChoiceRule']
  onChange: (rule: Schemas['ChoiceRule']) => void
}) {
  const setKey = (i: number, key: boolean) =>
    onChange({
      ...rule,
      options: rule.options.map((o, j) => (j === i ? { ...o, key } : rule.several || !key ? o : { ...o, key: false })),
    })
  return (
    <fieldset className="flex flex-col">
      <legend className="text-sm font-semibold">Options: tick the key</legend>
      {rule.options.map((option, i) => {
        const name = `option ${String.fromCharCode(65 + i)}`
        const set = (change: Partial<Schemas['Option']>) =>
          onChange({ ...rule, options: replaced(rule.options, i, { ...option, ...change }) })
        return (
          <div key={option.id} className="grid grid-cols-[auto_1fr_auto] gap-x-3 gap-y-2 border-b py-3">
            <label className="flex flex-col items-center gap-1 pt-1">
              <span
                aria-hidden
                className={`inline-block size-7 rounded border text-center leading-7 font-bold ${option.key ? 'border-ink bg-ink text-ground' : 'border-edge'}`}
              >
                {String.fromCharCode(65 + i)}
              </span>
              <input
                type={rule.several ? 'checkbox' : 'radio'}
                name="key"
                className="size-4 accent-rust"
                checked={option.key}
                onChange={(e) => setKey(i, e.target.checked)}
                aria-label={`${name} is the key`}
              />
              <span className="text-xs text-quiet">key</span>
            </label>
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
          onChange={(e) =>
            onChange({ ...rule, several: e.target.checked, perOption: e.target.checked && rule.perOption })
          }
        />
        {rule.several ? (
          <Tick
            label="Part credit for each option"
            checked={rule.perOption}
            onChange={(e) => onChange({ ...rule, perOption: e.target.checked })}
          />
        ) : null}
        <Tick
          label="Keep the last option last"
          checked={rule.keepLast}
          onChange={(e) => onChange({ ...rule, keepLast: e.target.checked })}
        />
      </div>
    </fieldset>
  )
}

function Credit({ value, onChange, what }: { value: string; onChange: (credit: string) => void; what: string }) {
  const known = ['1', '3/4', '1/2', '1/4', '0']
  return (
    <SelectField
      label={`Credit of ${what}`}
      hideLabel
      value={value}
      onChange={(e) => onChange(e.target.value)}
      className="!w-32"
    >
      {(known.includes(value) ? known : [value, ...known]).map((credit) => (
        <option key={credit} value={credit}>
          {credit === '1' ? 'full credit' : credit === '0' ? 'no credit' : `credit ${credit}`}
        </option>
      ))}
    </SelectField>
  )
}

function TextEditor({ rule, onChange }: { rule: Schemas['TextRule']; onChange: (rule: Schemas['TextRule']) => void }) {
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
          onChange={(e) => onChange({ ...rule, allowSlips: e.target.checked })}
        />
        <Tick
          label="Capitals do not matter"
          checked={rule.folding.case}
          onChange={(e) => onChange({ ...rule, folding: { ...rule.folding, case: e.target.checked } })}
        />
        <Tick
          label="Accents do not matter"
          checked={rule.folding.accents}
          onChange={(e) => onChange({ ...rule, folding: { ...rule.folding, accents: e.target.checked } })}
        />
        <Tick
          label="Punctuation does not matter"
          checked={rule.folding.punctuation}
          onChange={(e) => onChange({ ...rule, folding: { ...rule.folding, punctuation: e.target.checked } })}
        />
        <Tick
          label="“The” and “a” in front do not matter"
          checked={rule.folding.articles}
          onChange={(e) => onChange({ ...rule, folding: { ...rule.folding, articles: e.target.checked } })}
        />
      </div>
    </fieldset>
  )
}

function NumberEditor({
  rule,
  onChange,
}: {
  rule: Schemas['NumberRule']
  onChange: (rule: Schemas['NumberRule']) => void
}) {
  const terms = useTerms()
  return (
    <fieldset className="flex flex-col">
      <legend className="text-sm font-semibold">Values, the key first; tried in order</legend>
      {rule.targets.map((target, i) => {
        const name = `value ${i + 1}`
        const set = (change: Partial<Schemas['Target']>) =>
          onChange({ ...rule, targets: replaced(rule.targets, i, { ...target, ...change }) })
        return (
          <div key={i} className="grid grid-cols-[1fr_auto] gap-x-3 gap-y-2 border-b py-3">
            <div className="flex flex-col gap-2">
              <div className="flex flex-wrap items-center gap-2">
                <TextField
                  label={`Number for ${name}`}
                  hideLabel
                  value={decimal(target.value)}
                  inputMode="decimal"
                  onChange={(e) => set({ value: e.target.value })}
                  className="!w-32"
                />
                <span aria-hidden>±</span>
                <TextField
                  label={`Tolerance of ${name}`}
                  hideLabel
                  value={decimal(target.tolerance)}
                  inputMode="decimal"
                  onChange={(e) => set({ tolerance: e.target.value })}
                  className="!w-24"
                />
                <SelectField
                  label={`Kind of tolerance of ${name}`}
                  hideLabel
                  value={target.kind}
                  onChange={(e) => set({ kind: e.target.value as 'absolute' | 'relative' })}
                  className="!w-36"
                >
                  <option value="absolute">in the unit</option>
                  <option value="relative">share of value</option>
                </SelectField>
                <Credit what={name} value={target.credit} onChange={(credit) => set({ credit })} />
              </div>
              <Meaning
                what={name}
                feedback={target.feedback}
                misconception={target.misconception}
                onFeedback={(feedback) => set({ feedback })}
                onMisconception={(misconception) => set({ misconception })}
              />
            </div>
            <LineTools
              what={name}
              onUp={i > 0 ? () => onChange({ ...rule, targets: moved(rule.targets, i, -1) }) : undefined}
              onRemove={() => onChange({ ...rule, targets: without(rule.targets, i) })}
            />
          </div>
        )
      })}
      <div className="flex flex-wrap items-end gap-3 pt-3">
        <Button
          onClick={() =>
            onChange({
              ...rule,
              targets: [
                ...rule.targets,
                { value: '0', tolerance: '0', kind: 'absolute', credit: '0', feedback: '', misconception: null },
              ],
            })
          }
        >
          Add a value
        </Button>
        <SelectField
          label="Unit"
          value={rule.unit}
          onChange={(e) =>
            onChange({
              ...rule,
              unit: e.target.value,
              unitUse: e.target.value === '' ? 'none' : rule.unitUse === 'none' ? 'optional' : rule.unitUse,
            })
          }
          className="!w-32"
        >
          <option value="">no unit</option>
          {terms.data?.units.map((unit) => (
            <option key={unit}>{unit}</option>
          ))}
        </SelectField>
        {rule.unit ? (
          <SelectField
            label="The student"
            value={rule.unitUse}
            onChange={(e) => onChange({ ...rule, unitUse: e.target.value as 'optional' | 'required' })}
            className="!w-52"
          >
            <option value="optional">may write the unit</option>
            <option value="required">must write the unit</option>
          </SelectField>
        ) : null}
      </div>
    </fieldset>
  )
}

function RubricEditor({
  rule,
  onChange,
}: {
  rule: Schemas['OpenRule']
  onChange: (rule: Schemas['OpenRule']) => void
}) {
  return (
    <fieldset className="flex flex-col gap-4">
      <legend className="text-sm font-semibold">Rubric: the levels’ points are added and scaled to the marks</legend>
      {rule.criteria.map((criterion, i) => {
        const set = (next: Schemas['Criterion']) => onChange({ criteria: replaced(rule.criteria, i, next) })
        return (
          <div key={i} className="rounded border p-3">
            <div className="flex items-end gap-3">
              <div className="flex-1">
                <TextField
                  label={`Criterion ${i + 1}`}
                  value={criterion.name}
                  onChange={(e) => set({ ...criterion, name: e.target.value })}
                />
              </div>
              <Button
                kind="quiet"
                size="small"
                onClick={() => onChange({ criteria: without(rule.criteria, i) })}
                aria-label={`Remove criterion ${i + 1}`}
              >
                Remove
              </Button>
            </div>
            {criterion.levels.map((level, j) => {
              const name = `level ${j + 1} of ${criterion.name}`
              const setLevel = (change: Partial<Schemas['Level']>) =>
                set({ ...criterion, levels: replaced(criterion.levels, j, { ...level, ...change }) })
              return (
                <div key={j} className="mt-2 grid grid-cols-[4rem_1fr_1fr_auto] items-center gap-2">
                  <TextField
                    label={`Points of ${name}`}
                    hideLabel
                    inputMode="decimal"
                    value={decimal(level.points)}
                    onChange={(e) => setLevel({ points: e.target.value })}
                  />
                  <TextField
                    label={`Descriptor of ${name}`}
                    hideLabel
                    placeholder="what such work looks like"
                    value={level.descriptor}
                    onChange={(e) => setLevel({ descriptor: e.target.value })}
                  />
                  <TermSelect
                    kind="misconceptions"
                    label={`Misconception shown by ${name}`}
                    hideLabel
                    value={level.misconception}
                    onChange={(misconception) => setLevel({ misconception })}
                  />
                  <Button
                    kind="quiet"
                    size="small"
                    aria-label={`Remove ${name}`}
                    onClick={() => set({ ...criterion, levels: without(criterion.levels, j) })}
                  >
                    Remove
                  </Button>
                </div>
              )
            })}
            <Button
              size="small"
              className="mt-2"
              disabled={criterion.levels.length >= 10}
              onClick={() =>
                set({
                  ...criterion,
                  levels: [
                    ...criterion.levels,
                    { points: String(criterion.levels.length), descriptor: '', misconception: null },
                  ],
                })
              }
            >
              Add a level
            </Button>
          </div>
        )
      })}
      <div>
        <Button
          disabled={rule.criteria.length >= 8}
          onClick={() =>
            onChange({
              criteria: [
                ...rule.criteria,
                {
                  name: '',
                  levels: [
                    { points: '0', descriptor: '', misconception: null },
                    { points: '1', descriptor: '', misconception: null },
                  ],
                },
              ],
            })
          }
        >
          Add a criterion
        </Button>
      </div>
    </fieldset>
  )
}
