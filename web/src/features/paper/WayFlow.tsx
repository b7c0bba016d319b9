import { scaleLinear } from '@visx/scale'
import type { Schemas } from '@/lib/api/client'
import { percent, rational } from '@/lib/format'
import { Chart } from '@/ui/chart/Chart'

type Check = Schemas['PaperRouteCheckView']
const [WIDTH, HEIGHT, FOOT] = [284, 84, 16]

/** Who comes one way, by ability, and what the cut does with them. */
export function WayFlow({ check, at, onCut }: { check: Check; at: number; onCut: (share: string) => void }) {
  const exit = check.exits[at]
  if (!exit) return null
  const count = exit.students.count
  return (
    <>
      <section>
        {count === 0 ? (
          <>
            <h3 className="text-base">Who comes this way?</h3>
            <p className="text-[15px] text-quiet">None of {check.students} made-up students.</p>
          </>
        ) : (
          <>
            <Abilities check={check} at={at} />
            <p className="mt-1 text-[15px]">
              {percent(exit.students.share)} of {check.students}.{' '}
              {exit.wrong === 0
                ? 'None of them would have gone elsewhere without luck.'
                : `${exit.wrong} of these ${count} would have gone elsewhere without luck.`}
            </p>
          </>
        )}
        <p className="mt-1 text-[15px]">
          After “{check.section}”, {percent(check.below.share)} are sent below their level and{' '}
          {percent(check.above.share)} above it.
          {check.withTwoMore
            ? ` With two more such questions in it ${percent(check.withTwoMore.share)} would be misplaced instead of ${percent(check.below.share + check.above.share)}.`
            : ''}
        </p>
      </section>
      {check.cut ? <Cuts check={check} cut={check.cut} onCut={onCut} /> : null}
    </>
  )
}

function Abilities({ check, at }: { check: Check; at: number }) {
  const here = check.exits[at]?.abilities ?? []
  const all = here.map((_, i) => check.exits.reduce((sum, e) => sum + (e.abilities[i] ?? 0), 0))
  const x = scaleLinear<number>({ domain: [0, here.length], range: [0, WIDTH] })
  const y = scaleLinear<number>({ domain: [0, Math.max(1, ...all)], range: [HEIGHT - FOOT, 4] })
  const bar = (n: number, i: number, style: string) => (
    <rect key={i} x={x(i) + 1} width={x(1) - 2} y={y(n)} height={HEIGHT - FOOT - y(n)} className={style} />
  )
  const middle =
    here.reduce((sum, n, i) => sum + n * (i / 2 - 2.75), 0) /
    Math.max(
      1,
      here.reduce((a, b) => a + b, 0),
    )
  return (
    <Chart
      title="Who comes this way?"
      width={WIDTH}
      height={HEIGHT}
      says={`By ability, from less able to more able: ${here.join(', ')} of ${all.join(', ')} students. On average ${middle.toFixed(1)} standard deviations ${middle < 0 ? 'below' : 'above'} the middle.`}
    >
      {all.map((n, i) => bar(n, i, 'fill-r0'))}
      {here.map((n, i) => bar(n, i, 'fill-r2'))}
      <path d={`M0 ${HEIGHT - FOOT}H${WIDTH}`} className="stroke-edge" />
      <text x="0" y={HEIGHT - 3} className="fill-quiet text-[11px]">
        less able
      </text>
      <text x={WIDTH} y={HEIGHT - 3} textAnchor="end" className="fill-quiet text-[11px]">
        more able
      </text>
    </Chart>
  )
}

/** The present cut, the best, and those beside the two. */
function Cuts({ check, cut, onCut }: { check: Check; cut: string; onCut: (share: string) => void }) {
  const least = check.cuts.reduce((best, c) => (c.wrong.count < best.wrong.count ? c : best), check.cuts[0]!)
  const now = check.cuts.findIndex((c) => c.share === cut)
  const best = check.cuts.indexOf(least)
  const shown = check.cuts.filter((_, i) => Math.abs(i - now) <= 1 || Math.abs(i - best) <= 1)
  return (
    <section>
      <h3 className="text-base">What would another cut misplace?</h3>
      <table className="mt-1 w-full text-[15px]">
        <caption className="sr-only">Cuts, and the share of students that each would misplace</caption>
        <tbody>
          {shown.map((c) => (
            <tr key={c.share} className={`border-b ${c === least ? 'font-semibold' : ''}`}>
              <th scope="row" className={`py-1 text-left ${c === least ? 'font-semibold' : 'font-normal'}`}>
                at {percent(rational(c.share))}
                {c.share === cut ? ', as now' : ''}
              </th>
              <td className="py-1 text-right tabular-nums">
                {percent(c.wrong.share)}
                {c === least ? ', the least' : ''}
              </td>
              <td className="w-px py-1 pl-2">
                {c.share === cut ? null : (
                  <button
                    type="button"
                    className="text-sm font-semibold whitespace-nowrap text-blue hover:underline"
                    aria-label={`Cut at ${percent(rational(c.share))}`}
                    onClick={() => onCut(c.share)}
                  >
                    take it
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-sm text-quiet">
        Who is meant stays the same: those who would be below {percent(rational(cut))} without luck. Guessing lifts what
        they show, so that a somewhat higher cut often sorts better.
      </p>
    </section>
  )
}
