import { AxisBottom, AxisLeft } from '@visx/axis'
import type { scaleBand, scaleLinear } from '@visx/scale'
import { Line } from '@visx/shape'

export type Linear = ReturnType<typeof scaleLinear<number>>
type Band = ReturnType<typeof scaleBand<string>>

const QUIET = 'fill-quiet text-[11px]'

/** The foot of a chart: what stands across, and its line. */
export function Foot({
  scale,
  top,
  at,
  says = String,
  line = true,
}: {
  scale: Linear
  top: number
  at: readonly number[]
  says?: (value: number) => string
  line?: boolean
}) {
  return (
    <AxisBottom
      scale={scale}
      top={top}
      tickValues={[...at]}
      tickFormat={(value) => says(Number(value))}
      hideTicks
      hideAxisLine={!line}
      tickLength={2}
      axisLineClassName="stroke-ink"
      stroke=""
      tickLabelProps={() => ({ className: QUIET, textAnchor: 'middle', dy: 4, fill: '', fontSize: 11 })}
    />
  )
}

/** The same where things stand side by side by their names. */
export function FootOfNames({
  scale,
  top,
  says,
  line = true,
}: {
  scale: Band
  top: number
  says: (name: string) => string
  line?: boolean
}) {
  return (
    <AxisBottom
      scale={scale}
      top={top}
      tickFormat={says}
      hideTicks
      hideAxisLine={!line}
      tickLength={2}
      numTicks={scale.domain().length}
      axisLineClassName="stroke-ink"
      stroke=""
      tickLabelProps={() => ({ className: QUIET, textAnchor: 'middle', dy: 4, fill: '', fontSize: 11 })}
    />
  )
}

/** The side of a chart: what stands upwards, with a line across at each where they are asked for. */
export function Side({
  scale,
  left,
  at,
  says = String,
  until,
}: {
  scale: Linear
  left: number
  at: readonly number[]
  says?: (value: number) => string
  /** how far the lines reach */
  until?: number
}) {
  return (
    <>
      {until === undefined
        ? null
        : at.map((value) => (
            <Line
              key={value}
              from={{ x: left, y: scale(value) }}
              to={{ x: until, y: scale(value) }}
              className="stroke-line"
              stroke=""
            />
          ))}
      <AxisLeft
        scale={scale}
        left={left}
        tickValues={[...at]}
        tickFormat={(value) => says(Number(value))}
        hideTicks
        hideAxisLine
        tickLength={0}
        stroke=""
        tickLabelProps={() => ({ className: QUIET, textAnchor: 'end', dx: -6, dy: 4, fill: '', fontSize: 11 })}
      />
    </>
  )
}
