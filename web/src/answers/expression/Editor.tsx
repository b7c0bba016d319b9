import { TextField } from '@/ui/Field'
import { NumberField } from '@/ui/NumberField'
import { SelectField } from '@/ui/Select'
import type { EditorProps } from '../kinds'
import { Credit, LEFT_OUT, Line, Meaning, NextLine, replaced, without } from '../parts/Lines'
import { LineNumber } from '../parts/LineNumber'

const ANY = 'any'
const SHAPES = [
  { value: ANY, label: 'in any form' },
  { value: 'expanded', label: 'without brackets, like terms collected' },
  { value: 'factorised', label: 'as a product, fully factorised' },
  { value: 'single fraction', label: 'as a single fraction' },
  { value: 'surd', label: 'with the root in simplest form' },
  { value: 'subject', label: 'with one name alone on one side' },
] as const

/** Expressions that are right, and wrong ones worth knowing; each stands for all that are equal to it. */
export default function Editor({ rule, onChange }: EditorProps<'expression'>) {
  return (
    <fieldset>
      <legend className="text-sm text-quiet">
        Right expressions, and wrong ones worth knowing; equal ones count as the same
      </legend>
      <div className="mt-1">
        {rule.lines.map((written, i) => {
          const line = { ...LEFT_OUT, ...written }
          const what = `expression ${i + 1}`
          const set = (change: Partial<typeof line>) =>
            onChange({ ...rule, lines: replaced(rule.lines, i, { ...line, ...change }) })
          return (
            <Line
              key={i}
              what={what}
              mark={<LineNumber of={i} />}
              onRemove={() => onChange({ ...rule, lines: without(rule.lines, i) })}
            >
              <div className="flex flex-wrap items-center gap-x-3">
                <div className="min-w-40 flex-1">
                  <TextField
                    label={`Text of ${what}`}
                    hideLabel
                    inPlace
                    className="font-mono"
                    placeholder="such as (x + 1)^2"
                    spellCheck={false}
                    value={line.expression}
                    onChange={(e) => set({ expression: e.target.value })}
                  />
                </div>
                <Credit what={what} value={line.credit} onChange={(credit) => set({ credit })} />
              </div>
              <Meaning what={what} line={line} set={set} />
            </Line>
          )
        })}
        <NextLine
          label="Next expression"
          placeholder="Type another expression, or paste a list"
          mark={<LineNumber of={rule.lines.length} />}
          onLines={(lines) =>
            onChange({
              ...rule,
              lines: [
                ...rule.lines,
                ...lines.map((expression) => ({ expression, credit: '1', feedback: '', misconception: null })),
              ],
            })
          }
        />
      </div>
      <div className="grid gap-3 pt-3 sm:grid-cols-2">
        <TextField
          label="Names it may use"
          note="Letters with spaces between, such as x y."
          defaultValue={rule.names.join(' ')}
          onBlur={(e) => onChange({ ...rule, names: e.target.value.split(/[\s,;]+/).filter(Boolean) })}
        />
        <SelectField
          label="It is asked for"
          value={rule.shape ?? ANY}
          onChange={(shape) => onChange({ ...rule, shape: shape === ANY ? null : shape })}
          options={SHAPES}
        />
        {rule.shape === 'subject' ? (
          <TextField
            label="The name that stands alone"
            value={rule.subject}
            onChange={(e) => onChange({ ...rule, subject: e.target.value.trim() })}
          />
        ) : null}
        {rule.shape ? (
          <NumberField
            label="The right value in another form earns"
            note="A share of the credit, such as 1/2."
            value={rule.formless}
            onChange={(formless) => onChange({ ...rule, formless })}
          />
        ) : null}
      </div>
    </fieldset>
  )
}
