import { scaleLinear } from '@visx/scale'
import type { Item } from '@/answers/kinds'
import { plainOf } from '@/answers/parts/values'
import { kindOf } from '@/answers/registry'
import type { Schemas } from '@/lib/api/client'
import { rational } from '@/lib/format'
import { Chart } from '@/ui/chart/Chart'
import { Foot } from '@/ui/chart/axes'
import { formulaOf } from './domains'

const WIDTH = 320
const ROW = 34
const LEFT = 12

/** Where do key and distractors lie, over all draws? A row a line of the key; a draw that is never handed out is a cross. */
export function DrawStrip({ item, view: { draws, formulas } }: { item: Item; view: Schemas['BankDrawsView'] }) {
  const rows = kindOf(item.type)
    .keyLines(item.rule)
    .flatMap((line) => {
      const text = line.rich ? plainOf(line.text) : line.text
      const formula = formulaOf(text, formulas)
      return formula ? [{ mark: line.mark, isKey: line.isKey, formula }] : []
    })
  const at = (formula: string, d: Schemas['BankDrawView']) => {
    const value = d.values[formula]
    return value === undefined ? null : rational(value)
  }
  const all = rows.flatMap((r) => draws.flatMap((d) => at(r.formula, d) ?? []))
  if (rows.length === 0 || all.length === 0) return null
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const x = scaleLinear<number>({
    domain: low === high ? [low - 1, high + 1] : [low, high],
    range: [LEFT, WIDTH - LEFT],
  }).nice()
  const height = rows.length * ROW
  return (
    <Chart
      title="Where do key and distractors lie?"
      says={rows
        .map((r) => {
          const values = draws.flatMap((d) => at(r.formula, d) ?? [])
          return `${r.isKey ? 'key' : 'distractor'} ${r.formula}: from ${Math.min(...values)} to ${Math.max(...values)}`
        })
        .join('; ')}
      width={WIDTH}
      height={height + 20}
    >
      {rows.map((r, i) => {
        const y = i * ROW + 24
        return (
          <g key={i}>
            <text x={LEFT} y={y - 10} className={`text-[12px] ${r.isKey ? 'fill-ink font-bold' : 'fill-quiet'}`}>
              {r.isKey ? 'key  ' : ''}
              {r.formula}
            </text>
            <path d={`M${LEFT} ${y}H${WIDTH - LEFT}`} className="stroke-line" />
            {draws.map((d, j) => {
              const value = at(r.formula, d)
              if (value === null) return null
              const cx = x(value)
              return d.faults.length > 0 ? (
                <path key={j} d={`M${cx - 3} ${y - 3}l6 6m0-6l-6 6`} className="stroke-bad" strokeWidth="1.2" />
              ) : r.isKey ? (
                <rect key={j} x={cx - 3} y={y - 3} width="6" height="6" className="fill-r3" fillOpacity="0.75" />
              ) : (
                <circle key={j} cx={cx} cy={y} r="3" className="fill-none stroke-rung" strokeOpacity="0.8" />
              )
            })}
          </g>
        )
      })}
      <Foot scale={x} top={height} at={x.ticks(5)} />
    </Chart>
  )
}
