import { scaleLinear } from '@visx/scale'
import { useQuery } from '@tanstack/react-query'
import { api, take, type Schemas } from '@/lib/api/client'
import { percent, plural } from '@/lib/format'
import { clock } from '@/media/words'
import { Foot, Side } from '@/ui/chart/axes'
import { Chart } from '@/ui/chart/Chart'
import { Explained } from '@/ui/Explained'
import { Fold } from '@/ui/Fold'
import { Failed } from '@/ui/States'
import { ToWork } from '@/ui/ToWork'

type Source = Schemas['ResultsWatchedView']

/** What of the sounds and films beside the questions was played, and what was played again. Nothing where there are none. */
export function Watched({ id, group }: { id: string; group: string }) {
  const watched = useQuery({
    queryKey: ['results', id, 'watched', { group }],
    queryFn: () =>
      take(
        api.GET('/api/handouts/{id}/results/watched', {
          params: { path: { id }, query: group ? { class: group } : {} },
        }),
      ),
  })
  if (watched.error) return <Failed error={watched.error} retry={() => void watched.refetch()} />
  return (
    <>
      {watched.data?.sources.map((source) => (
        <section key={source.file} aria-label={source.title} className="border-t pt-4">
          <h2 className="text-lg">{source.title || (source.kind === 'film' ? 'The film' : 'The sound')}</h2>
          {source.through.value === null || source.through.value === undefined ? (
            <p className="text-[15px] text-quiet">
              {source.students.length === 0
                ? 'Nobody has handed in yet.'
                : `None of ${plural(source.students.length, 'student')} has played any of it on a device of their own.`}
            </p>
          ) : (
            <Played source={source} handoutId={id} through={source.through.value} />
          )}
        </section>
      ))}
    </>
  )
}

function Played({ source, handoutId, through }: { source: Source; handoutId: string; through: number }) {
  const n = source.students.length
  const stretch = (s: { from: number; to: number }) => `${clock(s.from)}–${clock(s.to)}`
  return (
    <>
      <p className="text-[15px]">
        Played through by{' '}
        <Explained figure={source.through} label={`${source.title}: played through`} show={percent}>
          {Math.round(through * n)} of {n}
        </Explained>
        {source.again.length > 0
          ? `; again most: ${source.again.map((s) => `${stretch(s)}, ${s.times.toFixed(1)} times`).join('; ')}.`
          : '; no part was played again more than the others.'}
      </p>
      <PartsChart source={source} />
      <Fold label="The same as a table">
        <table className="mt-1 text-[15px]">
          <caption className="sr-only">Parts of {source.title}</caption>
          <thead>
            <tr className="border-b text-left text-sm text-quiet">
              <th scope="col" className="py-1 pr-6 font-medium">
                From
              </th>
              <th scope="col" className="px-2 text-right font-medium">
                Played by
              </th>
              <th scope="col" className="px-2 text-right font-medium">
                Times each
              </th>
            </tr>
          </thead>
          <tbody className="tabular-nums">
            {source.shares.map((share, i) => (
              <tr key={i} className="border-b">
                <th scope="row" className="py-0.5 text-left font-normal">
                  {clock(i * source.part)}
                </th>
                <td className="px-2 text-right">{Math.round(share * n)}</td>
                <td className="px-2 text-right">{share > 0 ? (source.times[i] ?? 0).toFixed(1) : '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Fold>
      <table className="mt-2 w-full max-w-3xl text-[15px]">
        <caption className="pb-1 text-left font-head font-semibold">Who has played how much of it?</caption>
        <thead>
          <tr className="border-b text-left text-sm text-quiet">
            <th scope="col" className="py-1.5 font-medium">
              Student
            </th>
            <th scope="col" className="px-2 text-right font-medium">
              Played of it
            </th>
            <th scope="col" className="px-2 text-right font-medium">
              Times the whole
            </th>
            <th scope="col" className="px-2 text-right font-medium">
              Last at
            </th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {[...source.students]
            .sort((a, b) => a.share - b.share)
            .map((s) => (
              <tr key={s.studentId} className="border-b">
                <th scope="row" className="py-1 text-left font-semibold">
                  <ToWork handoutId={handoutId} studentId={s.studentId}>
                    {s.name}
                  </ToWork>
                </th>
                <td className="px-2 text-right">{s.share > 0 ? percent(s.share) : 'nothing'}</td>
                <td className="px-2 text-right">{s.times.toFixed(1)}</td>
                <td className="px-2 text-right">{s.share > 0 ? clock(s.until) : '–'}</td>
              </tr>
            ))}
        </tbody>
      </table>
      <p className="mt-1 max-w-3xl text-sm text-quiet">
        Counted on the students’ devices while they sit, over all their attempts, in parts of{' '}
        {plural(source.part, 'second')}: a part is played when the playing passes its middle. Whoever listens with a
        neighbour plays nothing.
      </p>
    </>
  )
}

const WIDTH = 640
const HEIGHT = 150
const LEFT = 44
const RIGHT = 630
const TOP = 26
const FOOT = 112

/** A bar a part: how many played it; what was played again most has a rung over it. */
function PartsChart({ source }: { source: Source }) {
  const x = scaleLinear<number>({ domain: [0, source.seconds], range: [LEFT, RIGHT] })
  const y = scaleLinear<number>({ domain: [0, 1], range: [FOOT, TOP] })
  const gap = source.shares.length > 60 ? 0.5 : 1
  return (
    <div className="max-w-3xl">
      <Chart
        title="Which parts are played, and which again?"
        says={`${source.title}, ${clock(source.seconds)} long, by its parts; the same values stand in the table below.`}
        width={WIDTH}
        height={HEIGHT}
      >
        {source.shares.map((share, i) => {
          const from = x(i * source.part)
          const to = x(Math.min(source.seconds, (i + 1) * source.part))
          return (
            <rect
              key={i}
              x={from + gap / 2}
              y={y(share)}
              width={Math.max(0.5, to - from - gap)}
              height={FOOT - y(share)}
              className="fill-r2"
            />
          )
        })}
        {source.again.map((s) => (
          <g key={s.from}>
            <rect x={x(s.from)} y={TOP - 8} width={x(s.to) - x(s.from)} height="4" className="fill-rung" />
            <text
              x={Math.min(RIGHT - 30, (x(s.from) + x(s.to)) / 2)}
              y={TOP - 13}
              textAnchor="middle"
              className="fill-ink text-[12px]"
            >
              {s.times.toFixed(1)} times
            </text>
          </g>
        ))}
        <Foot scale={x} top={FOOT} at={x.ticks(8).filter((t) => t <= source.seconds)} says={clock} />
        <Side scale={y} left={LEFT} at={[0, 0.5, 1]} says={percent} />
        <text x={(LEFT + RIGHT) / 2} y={HEIGHT - 8} textAnchor="middle" className="fill-quiet text-[11px]">
          time since its beginning; upwards: share of the students
        </text>
      </Chart>
    </div>
  )
}
