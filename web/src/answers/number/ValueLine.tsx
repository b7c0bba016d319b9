import type { Schemas } from '@/lib/api/client'
import { decimal, rational } from '@/lib/format'
import { Chart } from '@/ui/chart/Chart'
import { useInDraw } from '../parts/InDraw'
import { nearInWords, reach } from './near'

const WIDTH = 560
const SIDE = 40
const MIDDLE = 34
const APART = 52

/** Where do answers count, and which wrong ones lie near? The values on a line, each with what is near enough. */
export function ValueLine({ targets }: { targets: readonly Schemas['Target'][] }) {
  const inDraw = useInDraw()
  const seen = targets.flatMap((target, i) => {
    const value = inDraw(target.value)
    const at = reach({ ...target, value })
    return at ? [{ ...target, value, at, number: i + 1, isWrong: rational(target.credit) === 0 }] : []
  })
  if (seen.length === 0 || (seen.length === 1 && seen[0]!.at[0] === seen[0]!.at[1])) return null
  const low = Math.min(...seen.map((t) => t.at[0]))
  const high = Math.max(...seen.map((t) => t.at[1]))
  const x = (value: number) => (low === high ? WIDTH / 2 : SIDE + ((value - low) / (high - low)) * (WIDTH - 2 * SIDE))
  // What counts is named above the line, what does not below; names that would meet stand a row further out.
  const rows = new Map<number, number>()
  for (const side of [false, true]) {
    const last: number[] = []
    for (const t of seen.filter((one) => one.isWrong === side).sort((a, b) => rational(a.value) - rational(b.value))) {
      const place = x(rational(t.value))
      let row = last.findIndex((before) => place - before >= APART)
      if (row < 0) row = last.length
      last[row] = place
      rows.set(t.number, row)
    }
  }
  const deepest = (side: boolean) =>
    Math.max(0, ...seen.filter((t) => t.isWrong === side).map((t) => rows.get(t.number)!))
  const line = MIDDLE + deepest(false) * 15
  return (
    <div className="pt-3">
      <Chart
        title="What counts, and what lies near?"
        says={seen
          .map((t) => `value ${t.number}, ${t.isWrong ? 'wrong' : 'counts'}: from ${show(t.at[0])} to ${show(t.at[1])}`)
          .join('; ')}
        width={WIDTH}
        height={line + 24 + deepest(true) * 15}
      >
        <path d={`M8 ${line}H${WIDTH - 8}`} className="stroke-edge" />
        {seen.map((t) => {
          const [from, to, at] = [x(t.at[0]), x(t.at[1]), x(rational(t.value))]
          const row = rows.get(t.number)!
          return (
            <g key={t.number}>
              {to - from > 0.5 ? (
                <rect
                  x={from}
                  y={line - 5}
                  width={Math.max(2, to - from)}
                  height="10"
                  className={t.isWrong ? 'fill-none stroke-rung' : 'fill-r2'}
                />
              ) : null}
              {t.isWrong ? (
                <circle cx={at} cy={line} r="4" className="fill-sheet stroke-rung" strokeWidth="1.5" />
              ) : (
                <rect x={at - 4} y={line - 4} width="8" height="8" className="fill-ink" />
              )}
              <text
                x={at}
                y={t.isWrong ? line + 18 + row * 15 : line - 11 - row * 15}
                textAnchor="middle"
                className={`text-[12px] ${t.isWrong ? 'fill-quiet' : 'fill-ink font-bold'}`}
              >
                {decimal(t.value)} {t.isWrong ? '' : nearInWords(t.tolerance, t.kind, decimal)}
              </text>
            </g>
          )
        })}
      </Chart>
    </div>
  )
}

const show = (value: number) => decimal(String(Math.round(value * 1e6) / 1e6))
