import type { Schemas } from '@/lib/api/client'
import { percent } from '@/lib/format'
import { apart } from './figures'

/** Where do the students stand? Marks in bins; the same counts stand below as text. */
export function Distribution({ bins }: { bins: Schemas['ResultsBinView'][] }) {
  const most = Math.max(1, ...bins.map((b) => b.students))
  const w = 300
  const h = 96
  const step = w / bins.length
  return (
    <figure>
      <figcaption className="font-head font-semibold">How are the marks spread?</figcaption>
      <svg
        viewBox={`0 0 ${w} ${h + 18}`}
        className="mt-1 w-full"
        role="img"
        aria-label={`Students by marks: ${bins.map((b) => `${b.from} to ${b.to}: ${b.students}`).join('; ')}`}
      >
        {bins.map((b, i) => (
          <g key={b.from}>
            <rect
              x={i * step + 1.5}
              y={h - (b.students / most) * (h - 16)}
              width={step - 3}
              height={(b.students / most) * (h - 16)}
              className="fill-r2"
            />
            {b.students > 0 ? (
              <text
                x={i * step + step / 2}
                y={h - (b.students / most) * (h - 16) - 3}
                textAnchor="middle"
                className="fill-ink text-[11px]"
              >
                {b.students}
              </text>
            ) : null}
            <text x={i * step + step / 2} y={h + 13} textAnchor="middle" className="fill-quiet text-[11px]">
              {b.to - b.from <= 1 && i < bins.length - 1 ? b.from : `${b.from}–${b.to}`}
            </text>
          </g>
        ))}
        <path d={`M0 ${h}H${w}`} className="stroke-ink" />
      </svg>
    </figure>
  )
}

/** A share with its 95 % interval on a line from 0 to 1. */
export function Whisker({ figure }: { figure: Schemas['ResultsFigureView'] }) {
  if (figure.value === null) return null
  return (
    <svg aria-hidden viewBox="0 0 120 10" className="inline-block h-2.5 w-[120px] align-middle">
      <path d="M0 5H120" className="stroke-line" strokeWidth="1.5" />
      {figure.low !== null && figure.high !== null ? (
        <path d={`M${figure.low * 120} 5H${figure.high * 120}`} className="stroke-r2" strokeWidth="5" />
      ) : null}
      <circle cx={figure.value * 120} cy="5" r="4" className="fill-r3" />
    </svg>
  )
}

/** Which options rival the key, and among whom? A line an option over the thirds, named at its end. */
export function OptionLines({ options }: { options: Schemas['ResultsOptionView'][] }) {
  const top = Math.min(1, Math.ceil(Math.max(0.2, ...options.flatMap((o) => [o.lower, o.middle, o.upper])) * 5) / 5)
  const x = [40, 140, 240] as const
  const y = (share: number) => 12 + (1 - share / top) * 150
  const rival = [...options].filter((o) => !o.key).sort((a, b) => b.upper - a.upper)[0]
  // Names at the line ends are moved apart so that each can be read, and stay above the names of the thirds.
  const ends = [...options].sort((a, b) => b.upper - a.upper)
  const heights = apart(
    ends.map((o) => y(o.upper)),
    15,
    170,
  )
  return (
    <svg
      viewBox="0 0 300 200"
      className="w-full"
      role="img"
      aria-label="Share of each third that took each option; the same values stand in the table below"
    >
      {[0, top / 2, top].map((share) => (
        <g key={share}>
          <path d={`M36 ${y(share)}H246`} className="stroke-line" />
          <text x="30" y={y(share) + 4} textAnchor="end" className="fill-quiet text-[11px]">
            {percent(share)}
          </text>
        </g>
      ))}
      {options.map((o) => {
        const points = [o.lower, o.middle, o.upper].map((share, i) => [x[i as 0 | 1 | 2], y(share)] as const)
        const style = o.key ? 'stroke-r3' : o === rival ? 'stroke-rung' : 'stroke-edge'
        return (
          <g key={o.id} className={style} strokeWidth={o.key || o === rival ? 2.4 : 1.3} fill="none">
            <polyline
              points={points.map((p) => p.join(',')).join(' ')}
              strokeDasharray={o.key || o === rival ? undefined : '3 3'}
            />
            {points.map(([cx, cy], i) =>
              o.key ? (
                <rect key={i} x={cx - 4} y={cy - 4} width="8" height="8" className="fill-r3" />
              ) : (
                <circle key={i} cx={cx} cy={cy} r="4" className="fill-pale" />
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
      {['lower third', 'middle', 'upper third'].map((name, i) => (
        <text key={name} x={x[i as 0 | 1 | 2]} y="190" textAnchor="middle" className="fill-quiet text-[11px]">
          {name}
        </text>
      ))}
    </svg>
  )
}
