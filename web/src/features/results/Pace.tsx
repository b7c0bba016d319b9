import { scaleLinear } from '@visx/scale'
import { Line } from '@visx/shape'
import { Foot, Side } from '@/ui/chart/axes'
import { Chart } from '@/ui/chart/Chart'
import { ToWork } from '@/ui/ToWork'
import type { Schemas } from '@/lib/api/client'
import { percent } from '@/lib/format'
import { Explained } from '@/ui/Explained'
import { apart, times } from './figures'

type Student = Schemas['ResultsStudentResultView']

/** How each student worked: fast or slow beside the others, thinking or rushing, rightly or wrongly sure. */
export function Pace({ students, handoutId }: { students: Student[]; handoutId: string }) {
  const known = students.filter((s) => s.pace.value !== null)
  const asked = students.some((s) => s.sureAndWrong.value !== null)
  if (known.length === 0) {
    return (
      <p className="py-4 text-quiet">
        No times are known here. They are taken on the students’ devices, from seeing a question to the last change of
        its answer.
      </p>
    )
  }
  return (
    <div className="flex flex-col gap-4 pt-3">
      <PaceChart students={known} />
      <table className="w-full max-w-3xl text-[15px]">
        <caption className="sr-only">Students and their pace</caption>
        <thead>
          <tr className="border-b text-left text-sm text-quiet">
            <th scope="col" className="py-1.5 font-medium">
              Student
            </th>
            <th scope="col" className="px-2 text-right font-medium">
              Pace, with 95 %
            </th>
            <th scope="col" className="px-2 text-right font-medium">
              Rushed answers
            </th>
            {asked ? (
              <th scope="col" className="px-2 text-right font-medium">
                Sure and wrong
              </th>
            ) : null}
            <th scope="col" className="px-2 font-medium">
              To look at
            </th>
          </tr>
        </thead>
        <tbody>
          {[...known]
            .sort((a, b) => Number(!a.manner) - Number(!b.manner) || (a.pace.value ?? 0) - (b.pace.value ?? 0))
            .map((s) => (
              <tr key={s.studentId} className="border-b">
                <th scope="row" className="py-1 text-left font-semibold">
                  <ToWork handoutId={handoutId} studentId={s.studentId}>
                    {s.name}
                  </ToWork>
                </th>
                <td className="px-2 text-right whitespace-nowrap">
                  <Explained figure={s.pace} label={`Pace of ${s.name}`} show={times}>
                    <span className="tabular-nums">{times(s.pace.value ?? 0)}</span>
                  </Explained>
                  <span className="ml-2 inline-block w-24 text-left text-sm text-quiet tabular-nums">
                    {interval(s.pace)}
                  </span>
                </td>
                <td className="px-2 text-right whitespace-nowrap">
                  <Share figure={s.rushed} label={`Rushed answers of ${s.name}`} />
                </td>
                {asked ? (
                  <td className="px-2 text-right whitespace-nowrap">
                    <Share figure={s.sureAndWrong} label={`Sure and wrong, ${s.name}`} />
                  </td>
                ) : null}
                <td className="px-2 font-semibold text-blue">{s.manner ?? ''}</td>
              </tr>
            ))}
        </tbody>
      </table>
      <p className="max-w-3xl text-sm text-quiet">
        Pace 1 is like the others, 2 takes twice as long. Rushing: a tenth of the answers or more, and at least two,
        came too fast to have been thought about. Lagging: surely slower than the others, and twice as slow. Neither
        says why; ask.
      </p>
    </div>
  )
}

/** Of few answers an interval by logarithms runs from nothing to millions: what there is to say is that they are few. */
function interval(pace: Schemas['ResultsFigureView']): string {
  if (pace.note === 'few') return 'too few'
  return pace.low === null || pace.high === null ? '' : `${times(pace.low)}–${times(pace.high)}`
}

/** A share of few answers, as a count: 2 of 7. */
function Share({ figure, label }: { figure: Schemas['ResultsFigureView']; label: string }) {
  if (figure.value === null) return <span className="text-quiet">–</span>
  return (
    <Explained figure={figure} label={label} show={percent}>
      <span className="tabular-nums">
        {Math.round(figure.value * figure.n)} of {figure.n}
      </span>
    </Explained>
  )
}

const WIDTH = 640
const HEIGHT = 220
const LEFT = 44
const RIGHT = 500
const TOP = 14
const FOOT = 184

/** Pace on a scale of doublings across, the share of the marks upwards; who rushes or lags is named. */
function PaceChart({ students }: { students: Student[] }) {
  const logs = students.map((s) => Math.log2(s.pace.value ?? 1))
  const from = Math.min(-1, Math.floor(Math.min(...logs)))
  const to = Math.max(1, Math.ceil(Math.max(...logs)))
  const x = scaleLinear<number>({ domain: [from, to], range: [LEFT, RIGHT] })
  const y = scaleLinear<number>({ domain: [0, 1], range: [FOOT, TOP] })
  const dots = students.map((s, i) => ({
    student: s,
    at: x(logs[i] ?? 0),
    height: y(s.of > s.waiting ? Math.max(0, Math.min(1, s.marks / (s.of - s.waiting))) : 0),
  }))
  const named = (manner: string) => {
    const some = dots.filter((d) => d.student.manner === manner).sort((a, b) => a.height - b.height)
    const heights = apart(
      some.map((d) => d.height),
      15,
      FOOT,
    )
    return some.map((d, i) => ({ ...d, label: heights[i] ?? d.height }))
  }
  const rushing = named('rushing')
  const lagging = named('lagging')
  const ticks = Array.from({ length: to - from + 1 }, (_, i) => from + i)
  return (
    <div className="max-w-3xl">
      <Chart
        title="Who rushes, who lags, and what comes of it?"
        says={`Students by pace and share of the marks; the same values stand in the table below. Rushing: ${rushing.map((d) => d.student.name).join(', ') || 'nobody'}. Lagging: ${lagging.map((d) => d.student.name).join(', ') || 'nobody'}.`}
        width={WIDTH}
        height={HEIGHT}
      >
        {ticks.map((t) => (
          <Line
            key={t}
            from={{ x: x(t), y: TOP }}
            to={{ x: x(t), y: FOOT }}
            className={t === 0 ? 'stroke-edge' : 'stroke-line'}
            stroke=""
          />
        ))}
        <Foot scale={x} top={FOOT} at={ticks} says={(t) => (t < 0 ? `1/${2 ** -t}` : String(2 ** t))} />
        <Side scale={y} left={LEFT} at={[0, 0.5, 1]} says={percent} />
        <text x={(LEFT + RIGHT) / 2} y={HEIGHT - 4} textAnchor="middle" className="fill-quiet text-[11px]">
          time beside the others: 1/2 is twice as fast, 2 twice as slow
        </text>
        {dots.map((d) =>
          d.student.manner === 'rushing' ? (
            <path key={d.student.studentId} d={`M${d.at - 5} ${d.height}l5 -5l5 5l-5 5z`} className="fill-rung" />
          ) : d.student.manner === 'lagging' ? (
            <rect
              key={d.student.studentId}
              x={d.at - 4.5}
              y={d.height - 4.5}
              width="9"
              height="9"
              className="fill-rung"
            />
          ) : (
            <circle
              key={d.student.studentId}
              cx={d.at}
              cy={d.height}
              r="4"
              className="fill-pale stroke-r3"
              strokeWidth="1.5"
            />
          ),
        )}
        {rushing.map((d) => (
          <text key={d.student.studentId} x={d.at - 5} y={d.label - 9} className="fill-ink text-[12px]">
            {d.student.name}
          </text>
        ))}
        {lagging.map((d) => (
          <g key={d.student.studentId}>
            <path d={`M${d.at + 7} ${d.height}L${RIGHT + 6} ${d.label}`} className="stroke-line" />
            <text x={RIGHT + 10} y={d.label + 4} className="fill-ink text-[12px]">
              {d.student.name}
            </text>
          </g>
        ))}
      </Chart>
      <p className="text-sm text-quiet">Up: share of the marks. A diamond rushes, a square lags.</p>
    </div>
  )
}
