import type { Schemas } from '@/lib/api/client'
import type { EditorProps } from '../kinds'
import { Button } from '@/ui/Button'
import { useTerms } from '@/lib/terms'
import { ExactField } from '@/ui/ExactField'
import { SelectField } from '@/ui/Select'
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
                  onChange={(value) => set({ kind: value })}
                  options={[
                    { value: 'absolute', label: 'in the unit' },
                    { value: 'relative', label: 'share of value' },
                  ]}
                  wide={false}
                />
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
          onChange={(unit) =>
            onChange({
              ...rule,
              unit,
              unitUse: unit === '' ? 'none' : rule.unitUse === 'none' ? 'optional' : rule.unitUse,
            })
          }
          options={[
            { value: '', label: 'no unit' },
            ...(terms.data?.units ?? []).map((unit) => ({ value: unit, label: unit })),
          ]}
          wide={false}
        />
        {rule.unit ? (
          <SelectField
            label="The student"
            value={rule.unitUse}
            onChange={(value) => onChange({ ...rule, unitUse: value })}
            options={[
              { value: 'optional', label: 'may write the unit' },
              { value: 'required', label: 'must write the unit' },
            ]}
            wide={false}
          />
        ) : null}
      </div>
    </fieldset>
  )
}
