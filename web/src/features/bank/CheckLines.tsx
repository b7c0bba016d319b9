import { Formula } from '@/answers/parts/Names'
import { Credit, Line, Meaning, moved, NextLine, replaced, UNSAID, without } from '@/answers/parts/Lines'
import { LineNumber } from '@/answers/parts/LineNumber'
import type { Item } from '@/answers/kinds'
import { askedOf } from '@/answers/registry'
import { conditionOf, firstPart } from '@/lib/condition'
import { Button } from '@/ui/Button'
import { ConditionField } from '@/ui/ConditionField'
import { TextField } from '@/ui/Field'

const MOST = 30

/** Conditions that are tried before the key, top to bottom; the first that holds decides. */
export function CheckLines({
  item,
  onChange,
  faults,
}: {
  item: Item
  onChange: (item: Item) => void
  faults: Record<string, string>
}) {
  const checks = item.checks ?? []
  const known = askedOf(item)
  const set = (next: typeof checks) => {
    const changed = { ...item, checks: next } as Item
    if (next.length === 0) delete changed.checks
    onChange(changed)
  }
  const add = (lines: string[]) =>
    set([...checks, ...lines.map((when) => ({ when, credit: '0', ...UNSAID }))].slice(0, MOST))
  return (
    <div>
      <p className="text-sm text-quiet">
        Checks are tried before the key, the first that holds decides. Such as: within(answer, 3.6, 0.05), answer &lt;
        0, text = "ebb", table.r2c1 = 4.
      </p>
      {checks.map((check, i) => {
        const what = `check ${i + 1}`
        const change = (next: Partial<typeof check>) => set(replaced(checks, i, { ...check, ...next }))
        return (
          <Line
            key={i}
            what={what}
            mark={<LineNumber of={i} />}
            onUp={i > 0 ? () => set(moved(checks, i, -1)) : undefined}
            onRemove={() => set(without(checks, i))}
          >
            <div className="flex flex-wrap items-start gap-2">
              <span className="pt-1 text-quiet">when</span>
              <div className="min-w-48 flex-1">
                <ConditionField
                  label={what}
                  value={check.when}
                  known={known}
                  onChange={(when) => change({ when })}
                  fault={faults[`checks.${i}.when`]}
                >
                  <Formula kind="condition">
                    <TextField
                      label={`When, of ${what}`}
                      hideLabel
                      inPlace
                      className="font-mono text-[15px]"
                      value={check.when}
                      onChange={(e) => change({ when: e.target.value })}
                      fault={faults[`checks.${i}.when`]}
                    />
                  </Formula>
                </ConditionField>
              </div>
              <span className="pt-1 text-quiet">then</span>
              <Credit what={what} value={check.credit} onChange={(credit) => change({ credit })} />
            </div>
            <Meaning what={what} line={check} set={change} />
            {faults[`checks.${i}.feedback`] ? (
              <p className="text-sm font-semibold text-bad">✕ {faults[`checks.${i}.feedback`]}</p>
            ) : null}
          </Line>
        )
      })}
      {checks.length < MOST ? (
        <Formula kind="condition">
          <NextLine
            label="Next check"
            mark={<LineNumber of={checks.length} />}
            placeholder="within(answer, 3.6, 0.05)"
            onLines={add}
          />
        </Formula>
      ) : null}
      {checks.length < MOST && known[0] ? (
        <Button
          kind="quiet"
          size="small"
          className="mt-1"
          onClick={() => known[0] && add([conditionOf([firstPart(known[0])], known)])}
        >
          Put a check together from parts
        </Button>
      ) : null}
    </div>
  )
}
