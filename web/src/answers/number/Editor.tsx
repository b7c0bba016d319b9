import type { Schemas } from '@/lib/api/client'
import { useTerms } from '@/lib/terms'
import { Combobox } from '@/ui/Combobox'
import { NumberField } from '@/ui/NumberField'
import { SelectField } from '@/ui/Select'
import type { EditorProps, RuleOf } from '../kinds'
import { Credit, LEFT_OUT, Line, Meaning, moved, NextLine, replaced, without } from '../parts/Lines'
import { InDraw } from '../parts/InDraw'
import { LineNumber } from '../parts/LineNumber'
import { Formula } from '../parts/Names'
import { KINDS, SIGN, startOf } from './near'
import { ValueLine } from './ValueLine'

const FORMS = [
  { value: 'any', label: 'in any form' },
  { value: 'integer', label: 'as a whole number' },
  { value: 'decimal', label: 'as a decimal' },
  { value: 'fraction', label: 'as a fraction' },
  { value: 'lowest terms', label: 'as a fraction in lowest terms' },
  { value: 'mixed', label: 'as a mixed number' },
  { value: 'standard', label: 'in standard form' },
  { value: 'surd', label: 'exactly, with roots' },
] as const

/** A rule says nothing of what is not asked. */
function asked({ form, figures, formless, ...rule }: RuleOf<'number'>): RuleOf<'number'> {
  const said = { ...(form && form !== 'any' ? { form } : {}), ...(figures ? { figures } : {}) }
  return { ...rule, ...said, ...(formless && Object.keys(said).length > 0 ? { formless } : {}) }
}

/** What is earned where something that was asked for is missing. */
function Part({ what, value, set }: { what: string; value: string | undefined; set: (share: string) => void }) {
  return (
    <div className="flex flex-col gap-1">
      <span className="text-sm font-semibold">{what[0]?.toUpperCase() + what.slice(1)}</span>
      <div className="flex h-9.5 items-center">
        <Credit what={what} value={value ?? '0'} onChange={set} />
      </div>
    </div>
  )
}

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
                <div style={{ width: `${Math.min(26, Math.max(7, target.value.length + 1))}ch` }}>
                  <Formula kind="value">
                    <NumberField
                      label={`Number for ${name}`}
                      hideLabel
                      inPlace
                      className="font-semibold"
                      placeholder="number"
                      value={target.value}
                      onChange={(value) => set({ value })}
                    />
                  </Formula>
                </div>
                <InDraw text={target.value} />
                <span aria-hidden>{SIGN[target.kind]}</span>
                <div className="w-14">
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
                  onChange={(kind) =>
                    set(startOf(kind) === startOf(target.kind) ? { kind } : { kind, tolerance: startOf(kind) })
                  }
                  options={[...KINDS]}
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
      <ValueLine targets={rule.targets.map((t) => ({ ...LEFT_OUT, ...EXACTLY, ...t }))} />
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
        {rule.unitUse === 'required' ? (
          <Part
            what="the right number without its unit"
            value={rule.unitless}
            set={(unitless) => onChange({ ...rule, unitless })}
          />
        ) : null}
        <SelectField
          label="Written"
          value={rule.form ?? 'any'}
          onChange={(form) => onChange(asked({ ...rule, form }))}
          options={FORMS}
          wide={false}
        />
        <SelectField
          label="Significant figures"
          value={String(rule.figures ?? '')}
          onChange={(figures) => onChange(asked({ ...rule, figures: figures === '' ? undefined : Number(figures) }))}
          options={[
            { value: '', label: 'as many as they like' },
            ...Array.from({ length: 6 }, (_, i) => ({ value: String(i + 1), label: `exactly ${i + 1}` })),
          ]}
          wide={false}
        />
        {rule.form || rule.figures ? (
          <Part
            what="the right value written otherwise"
            value={rule.formless}
            set={(formless) => onChange({ ...rule, formless })}
          />
        ) : null}
      </div>
    </fieldset>
  )
}
