import type { Schemas } from '@/lib/api/client'

type Region = Schemas['Region']

/** The regions of a rule, drawn over their picture: those that are right in harbour blue, the others dashed. */
export function Shapes({ regions, unit, chosen }: { regions: Region[]; unit: number; chosen?: string }) {
  return (
    <>
      {regions.map((region, i) => {
        const right = region.credit !== '0'
        const look = {
          fill: right ? '#1F5673' : '#55636B',
          fillOpacity: region.id === chosen ? 0.28 : 0.14,
          stroke: region.id === chosen ? '#A8431F' : right ? '#1F5673' : '#55636B',
          strokeWidth: unit * 0.45,
          strokeDasharray: right ? undefined : `${unit} ${unit * 0.7}`,
        }
        const [x, y] = middleOf(region)
        return (
          <g key={region.id} data-region={region.id} pointerEvents="all" style={{ cursor: 'move' }}>
            {/* A light edge beneath, so that it is seen on dark ground too. */}
            <Outline region={region} fill="none" stroke="#fff" strokeWidth={unit * 0.95} strokeOpacity={0.75} />
            <Outline region={region} {...look} />
            <text
              x={x}
              y={y + unit * 1.2}
              textAnchor="middle"
              fontSize={unit * 3.4}
              fontWeight={700}
              fill="#1D2B33"
              stroke="#fff"
              strokeWidth={unit * 0.8}
              paintOrder="stroke"
            >
              {i + 1}
            </text>
          </g>
        )
      })}
    </>
  )
}

const Outline = ({ region, ...look }: { region: Region } & React.SVGProps<SVGEllipseElement & SVGPolygonElement>) =>
  region.ellipse ? (
    <ellipse
      cx={Number(region.ellipse[0])}
      cy={Number(region.ellipse[1])}
      rx={Number(region.ellipse[2])}
      ry={Number(region.ellipse[3])}
      {...look}
    />
  ) : (
    <polygon points={(region.corners ?? []).map((c) => c.join(',')).join(' ')} {...look} />
  )

function middleOf(region: Region): [number, number] {
  if (region.ellipse) return [Number(region.ellipse[0]), Number(region.ellipse[1])]
  const corners = region.corners ?? []
  const mean = (axis: 0 | 1) => corners.reduce((sum, c) => sum + Number(c[axis]), 0) / Math.max(1, corners.length)
  return [mean(0), mean(1)]
}

/** A region that has been moved, or made larger about its middle. */
export function changed(region: Region, by: { dx?: number; dy?: number; times?: number }): Region {
  const { dx = 0, dy = 0, times = 1 } = by
  const [mx, my] = middleOf(region)
  const near = (n: number) => String(Math.round(n * 10) / 10)
  if (region.ellipse) {
    const [x, y, rx, ry] = region.ellipse.map(Number)
    return {
      ...region,
      ellipse: [near(x! + dx), near(y! + dy), near(Math.max(1, rx! * times)), near(Math.max(1, ry! * times))],
    }
  }
  return {
    ...region,
    corners: (region.corners ?? []).map((c) => [
      near(mx + (Number(c[0]) - mx) * times + dx),
      near(my + (Number(c[1]) - my) * times + dy),
    ]),
  }
}
