import type { Schemas } from '@/lib/api/client'
import type { EditorProps } from '../kinds'
import { Button } from '@/ui/Button'
import { useTerms } from '@/lib/terms'
import { ExactField } from '@/ui/ExactField'
import { SelectField } from '@/ui/Field'
import { Credit, LineTools, Meaning, moved, replaced, without } from '../parts/Lines'

export default function Editor({ rule, onChange }: EditorProps<'number'>) {
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
                <ExactField
                  label={`Number for ${name}`}
                  hideLabel
                  value={target.value}
                  onChange={(value) => set({ value })}
                  className="!w-32"
                />
                <span aria-hidden>±</span>
                <ExactField
                  label={`Tolerance of ${name}`}
                  hideLabel
                  value={target.tolerance}
                  onChange={(tolerance) => set({ tolerance })}
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
