import type { Schemas } from '@/lib/api/client'
import { percent } from '@/lib/format'
import { apart } from './figures'
import { scaleBand, scaleLinear, scalePoint } from '@visx/scale'
import { Bar, LinePath } from '@visx/shape'
import { FootOfNames, Side } from '@/ui/chart/axes'
import { Chart } from '@/ui/chart/Chart'

const THIRDS = ['lower third', 'middle', 'upper third']

/** Where do the students stand? Marks in bins; the same counts stand below as text. */
export function Distribution({ bins }: { bins: Schemas['ResultsBinView'][] }) {
  const [width, foot] = [300, 96]
  const named = (b: (typeof bins)[number], i: number) =>
    b.to - b.from <= 1 && i < bins.length - 1 ? String(b.from) : `${b.from}–${b.to}`
  const names = bins.map(named)
  const x = scaleBand<string>({ domain: names, range: [0, width], padding: 0.1 })
  const y = scaleLinear<number>({ domain: [0, Math.max(1, ...bins.map((b) => b.students))], range: [foot, 16] })
  return (
    <Chart
      title="How are the marks spread?"
      says={`Students by marks: ${bins.map((b) => `${b.from} to ${b.to}: ${b.students}`).join('; ')}`}
      width={width}
      height={foot + 18}
    >
      {bins.map((b, i) => {
        const [left, top] = [x(names[i] ?? '') ?? 0, y(b.students)]
        return (
          <g key={b.from}>
            <Bar x={left} y={top} width={x.bandwidth()} height={foot - top} className="fill-r2" />
            {b.students > 0 ? (
              <text x={left + x.bandwidth() / 2} y={top - 3} textAnchor="middle" className="fill-ink text-[11px]">
                {b.students}
              </text>
            ) : null}
          </g>
        )
      })}
      <FootOfNames scale={x} top={foot} says={(name) => name} />
    </Chart>
  )
}

/** Which options rival the key, and among whom? A line an option over the thirds, named at its end. */
export function OptionLines({ options }: { options: Schemas['ResultsOptionView'][] }) {
  const top = Math.min(1, Math.ceil(Math.max(0.2, ...options.flatMap((o) => [o.lower, o.middle, o.upper])) * 5) / 5)
  const x = scalePoint<string>({ domain: THIRDS, range: [40, 240] })
  const y = scaleLinear<number>({ domain: [0, top], range: [162, 12] })
  const rival = [...options].filter((o) => !o.key).sort((a, b) => b.upper - a.upper)[0]
  // Names at the line ends are moved apart so that each can be read, and stay above the names of the thirds.
  const ends = [...options].sort((a, b) => b.upper - a.upper)
  const heights = apart(
    ends.map((o) => y(o.upper)),
    15,
    170,
  )
  return (
    <Chart
      says="Share of each third that took each option; the same values stand in the table below"
      width={300}
      height={200}
    >
      <Side scale={y} left={36} at={[0, top / 2, top]} says={percent} until={246} />
      {options.map((o) => {
        const points = [o.lower, o.middle, o.upper].map((share, i) => ({ x: x(THIRDS[i] ?? '') ?? 0, y: y(share) }))
        const strong = o.key || o === rival
        return (
          <g key={o.id} className={o.key ? 'stroke-r3' : o === rival ? 'stroke-rung' : 'stroke-edge'}>
            <LinePath
              data={points}
              x={(p) => p.x}
              y={(p) => p.y}
              stroke=""
              strokeWidth={strong ? 2.4 : 1.3}
              strokeDasharray={strong ? undefined : '3 3'}
            />
            {points.map((p, i) =>
              o.key ? (
                <rect key={i} x={p.x - 4} y={p.y - 4} width="8" height="8" className="fill-r3" />
              ) : (
                <circle key={i} cx={p.x} cy={p.y} r="4" className="fill-pale" strokeWidth={strong ? 2.4 : 1.3} />
              ),
            )}
          </g>
        )
      })}
      {ends.map((o, i) => (
        <text key={o.id} x="252" y={(heights[i] ?? 0) + 4} className="fill-ink text-[12px] font-bold">
          {o.letter}
          {o.key ? ' key' : ''}
        </text>
      ))}
      {THIRDS.map((name) => (
        <text key={name} x={x(name)} y="190" textAnchor="middle" className="fill-quiet text-[11px]">
          {name}
        </text>
      ))}
    </Chart>
  )
}
