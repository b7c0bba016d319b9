import { scaleLinear } from '@visx/scale'

type Figure = { value: number | null; low: number | null; high: number | null }

const shares = (width: number, edge: number) => scaleLinear<number>({ domain: [0, 1], range: [edge, width - edge] })

/** A share with its 95 % interval on a line from 0 to 1, beside its figure. */
export function Whisker({ figure }: { figure: Figure }) {
  if (figure.value === null) return null
  const x = shares(120, 0)
  return (
    <svg aria-hidden viewBox="0 0 120 10" className="inline-block h-2.5 w-[120px] align-middle">
      <path d="M0 5H120" className="stroke-line" strokeWidth="1.5" />
      {figure.low !== null && figure.high !== null ? (
        <path d={`M${x(figure.low)} 5H${x(figure.high)}`} className="stroke-r2" strokeWidth="5" />
      ) : null}
      <circle cx={x(figure.value)} cy="5" r="4" className="fill-r3" />
    </svg>
  )
}

/** From one share (hollow) to another (full), beside their figures. */
export function Moved({ before, after }: { before: number; after: number }) {
  const x = shares(200, 5)
  const fallen = after < before
  return (
    <svg aria-hidden viewBox="0 0 200 12" className="h-3 w-[200px]">
      <path d="M0 6H200" className="stroke-line" strokeWidth="1.5" />
      <path d={`M${x(before)} 6H${x(after)}`} className={fallen ? 'stroke-rung' : 'stroke-r3'} strokeWidth="3" />
      <circle
        cx={x(before)}
        cy="6"
        r="3.5"
        className={`fill-pale ${fallen ? 'stroke-rung' : 'stroke-r3'}`}
        strokeWidth="1.5"
      />
      <circle cx={x(after)} cy="6" r="4" className={fallen ? 'fill-rung' : 'fill-r3'} />
    </svg>
  )
}
