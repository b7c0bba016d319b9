import type { Schemas } from '@/lib/api/client'
import { useTerms } from '@/lib/terms'
import { Combobox } from '@/ui/Combobox'
import { NumberField } from '@/ui/NumberField'
import { SelectField } from '@/ui/Select'
import type { EditorProps } from '../kinds'
import { Credit, LEFT_OUT, Line, Meaning, moved, NextLine, replaced, without } from '../parts/Lines'
import { LineNumber } from '../parts/LineNumber'

const EXACTLY = { tolerance: '0', kind: 'absolute' as const }

export default function Editor({ rule, onChange }: EditorProps<'number'>) {
  const terms = useTerms()
  return (
    <fieldset>
      <legend className="text-sm text-quiet">Values, the key first; tried in order</legend>
      <div className="mt-1">
        {rule.targets.map((written, i) => {
          const target = { ...LEFT_OUT, ...EXACTLY, ...written }
          const name = `value ${i + 1}`
          const set = (change: Partial<Schemas['Target']>) =>
            onChange({ ...rule, targets: replaced(rule.targets, i, { ...target, ...change }) })
          return (
            <Line
              key={i}
              what={name}
              mark={<LineNumber of={i} />}
              onUp={i > 0 ? () => onChange({ ...rule, targets: moved(rule.targets, i, -1) }) : undefined}
              onRemove={() => onChange({ ...rule, targets: without(rule.targets, i) })}
            >
              <div className="flex flex-wrap items-center gap-x-2">
                <div className="w-24">
                  <NumberField
                    label={`Number for ${name}`}
                    hideLabel
                    inPlace
                    className="font-semibold"
                    placeholder="number"
                    value={target.value}
                    onChange={(value) => set({ value })}
                  />
                </div>
                <span aria-hidden>±</span>
                <div className="w-16">
                  <NumberField
                    label={`Tolerance of ${name}`}
                    hideLabel
                    inPlace
                    value={target.tolerance}
                    onChange={(tolerance) => set({ tolerance })}
                  />
                </div>
                <SelectField
                  label={`Kind of tolerance of ${name}`}
                  hideLabel
                  size="place"
                  wide={false}
                  value={target.kind}
                  onChange={(value) => set({ kind: value })}
                  options={[
                    { value: 'absolute', label: 'in the unit' },
                    { value: 'relative', label: 'share of value' },
                  ]}
                />
                <Credit what={name} value={target.credit} onChange={(credit) => set({ credit })} />
              </div>
              <Meaning what={name} line={target} set={set} />
            </Line>
          )
        })}
        <NextLine
          label="Next value"
          placeholder="Type another value, right or wrong, or paste a list"
          mark={<LineNumber of={rule.targets.length} />}
          onLines={(lines) =>
            onChange({
              ...rule,
              targets: [
                ...rule.targets,
                ...lines.map((line) => ({
                  value: line.replace(/^([\d+-]*),(\d+)$/, '$1.$2'),
                  tolerance: '0',
                  kind: 'absolute' as const,
                  credit: '0',
                  feedback: '',
                  misconception: null,
                })),
              ],
            })
          }
        />
      </div>
      <div className="flex flex-wrap items-end gap-4 pt-3">
        <div className="w-40">
          <Combobox
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
          />
        </div>
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
