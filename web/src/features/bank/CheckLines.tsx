import { Credit, Line, Meaning, moved, NextLine, replaced, without } from '@/answers/parts/Lines'
import { LineNumber } from '@/answers/parts/LineNumber'
import type { Item } from '@/answers/kinds'
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
  const set = (next: typeof checks) => {
    const changed = { ...item, checks: next } as Item
    if (next.length === 0) delete changed.checks
    onChange(changed)
  }
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
                <TextField
                  label={`When, of ${what}`}
                  hideLabel
                  inPlace
                  className="font-mono text-[15px]"
                  value={check.when}
                  onChange={(e) => change({ when: e.target.value })}
                  fault={faults[`checks.${i}.when`]}
                />
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
        <NextLine
          label="Next check"
          mark={<LineNumber of={checks.length} />}
          placeholder="within(answer, 3.6, 0.05)"
          onLines={(lines) =>
            set(
              [...checks, ...lines.map((when) => ({ when, credit: '0', feedback: '', misconception: null }))].slice(
                0,
                MOST,
              ),
            )
          }
        />
      ) : null}
    </div>
  )
}
