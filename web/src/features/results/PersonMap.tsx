import { scaleLinear } from '@visx/scale'
import { Side } from '@/ui/chart/axes'
import { Chart } from '@/ui/chart/Chart'
import { useQuery } from '@tanstack/react-query'
import { api, take, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Explained } from '@/ui/Explained'
import { Failed, Loading } from '@/ui/States'
import { Tip } from '@/ui/Tip'
import { apart, two } from './figures'

type Model = Schemas['ResultsModelView']

const useModel = (id: string, on: boolean) =>
  useQuery({
    queryKey: ['results', id, 'model'],
    queryFn: () => take(api.GET('/api/handouts/{id}/results/model', { params: { path: { id } } })),
    enabled: on,
  })

export function PersonMap({ id }: { id: string }) {
  const model = useModel(id, true)
  if (model.isPending) return <Loading what="Fitting the model" />
  if (!model.data) return <Failed error={model.error} retry={() => void model.refetch()} />
  const m = model.data
  if (m.questions.length === 0)
    return (
      <p className="max-w-xl py-4 text-quiet">
        {m.note} {left(m)}
      </p>
    )
  const stepped = m.questions.some((q) => q.steps.length > 0)
  return (
    <div className="py-3">
      <figure>
        <figcaption className="font-head font-semibold">Who can do what, and how hard is each question?</figcaption>
        <Scale model={m} />
      </figure>
      <p className="mt-2 max-w-2xl text-[15px] text-quiet">
        A student level with a question has an even chance at it; one step higher, about three in four. {m.formula}{' '}
        {plural(m.counted, 'student')} of {m.n} with neither all nor nothing right were counted.
        {stepped ? ' A thin line reaches from the first step of a question with part marks to its last.' : ''} {left(m)}
        {m.note ? ` ${m.note}` : ''}
      </p>
    </div>
  )
}

const left = (model: Model) => (model.leftOut.length > 0 ? `Left out: ${model.leftOut.join(', ')}.` : '')

// Steps of ability that a bar may stand for, and how high it must be for its number to stand beside it.
const BINS = [0.25, 0.5, 1, 2]
const LEAST = 13
const TOP = 16

/** Students by ability at the left, questions by difficulty at the right, on one upright scale. */
function Scale({ model }: { model: Model }) {
  const abilities = model.students.flatMap((s) => (s.ability.value === null ? [] : [s.ability.value]))
  const questions = model.questions
    .flatMap((q) => (q.difficulty.value === null ? [] : [{ ...q, at: q.difficulty.value }]))
    .sort((a, b) => b.at - a.at)
  const places = [...abilities, ...questions.flatMap((q) => [q.at, ...q.steps])]
  const low = Math.floor(Math.min(...places))
  const high = Math.ceil(Math.max(...places))
  const height = Math.max(300, questions.length * 17)
  const y = scaleLinear<number>({ domain: [low, high], range: [TOP + height, TOP] })
  const tall = (step: number) => (step / (high - low)) * height
  const step = BINS.find((s) => tall(s) >= LEAST) ?? 2
  const bins = new Map<number, number>()
  for (const a of abilities) {
    const bin = Math.floor(a / step)
    bins.set(bin, (bins.get(bin) ?? 0) + 1)
  }
  const wide = scaleLinear<number>({ domain: [0, Math.max(1, ...bins.values())], range: [0, 220] })
  const names = apart(
    questions.map((q) => y(q.at)),
    16,
    TOP + height + 8,
  )
  return (
    <Chart
      says="Students and questions on one scale of logits; the same values stand in the table beside it"
      width={640}
      height={height + 2 * TOP + 12}
      className="mt-1 w-full max-w-3xl"
    >
      <Side
        scale={y}
        left={40}
        at={Array.from({ length: high - low + 1 }, (_, i) => high - i)}
        says={(logit) => (logit > 0 ? `+${logit}` : String(logit).replace('-', '−'))}
        until={330}
      />
      {[...bins].map(([bin, count]) => {
        return (
          <g key={bin}>
            <rect
              x={310 - wide(count)}
              y={y((bin + 1) * step) + 0.75}
              width={wide(count)}
              height={tall(step) - 1.5}
              className="fill-r2"
            />
            <text x={304 - wide(count)} y={y((bin + 0.5) * step) + 4} textAnchor="end" className="fill-ink text-[11px]">
              {count}
            </text>
          </g>
        )
      })}
      <path d={`M318 ${TOP}V${TOP + height}`} className="stroke-ink" strokeWidth="1.4" />
      {questions.map((q, i) => (
        <g key={q.entry}>
          {q.steps.length > 0 ? (
            <path
              d={`M328 ${y(Math.min(...q.steps))}V${y(Math.max(...q.steps))}`}
              className="stroke-rung"
              strokeWidth="1.2"
            />
          ) : null}
          <rect x="318" y={y(q.at) - 2.5} width="20" height="5" className="fill-rung" />
          <path d={`M340 ${y(q.at)}L358 ${names[i] ?? 0}`} className="stroke-edge" fill="none" />
          <text x="362" y={(names[i] ?? 0) + 4} className="fill-ink text-[13px]">
            <tspan className="font-bold">{q.number}</tspan> {q.title}
          </text>
        </g>
      ))}
      <text x="310" y={TOP + height + 20} textAnchor="end" className="fill-quiet text-[12px]">
        students
      </text>
      <text x="330" y={TOP + height + 20} className="fill-quiet text-[12px]">
        questions
      </text>
    </Chart>
  )
}

/** The values of the map, how each question fits, and whose pattern is unusual. */
export function ModelPanel({ id }: { id: string }) {
  const { data: m } = useModel(id, true)
  if (!m || m.questions.length === 0) return null
  const unusual = m.students.filter((s) => s.unusual)
  const slopes = m.questions.some((q) => q.slope.value !== null)
  return (
    <section className="flex flex-col gap-4">
      <div>
        <h2 className="text-lg">How does each question fit?</h2>
        <table className="mt-1 w-full text-sm">
          <caption className="sr-only">Questions by difficulty</caption>
          <thead>
            <tr className="border-b text-left text-quiet">
              <th scope="col" className="font-medium">
                #
              </th>
              <th scope="col" className="px-1 text-right font-medium">
                Difficulty
              </th>
              <th scope="col" className="px-1 text-right font-medium">
                Infit
              </th>
              <th scope="col" className="px-1 text-right font-medium">
                Outfit
              </th>
              {slopes ? (
                <th scope="col" className="pl-1 text-right font-medium">
                  Slope
                </th>
              ) : null}
            </tr>
          </thead>
          <tbody>
            {m.questions.map((q) => (
              <tr key={q.entry} className="border-b">
                <th scope="row" className="py-1 text-left font-normal">
                  <Tip says={q.title}>
                    <span>
                      {q.number}
                      <span className="sr-only">, {q.title}</span>
                    </span>
                  </Tip>
                </th>
                <td className="px-1 text-right">
                  {q.difficulty.value === null ? (
                    <span className="text-quiet">{q.note ?? '–'}</span>
                  ) : (
                    <Explained figure={q.difficulty} label={`Difficulty of question ${q.number}`} show={two}>
                      <span className="tabular-nums">{two(q.difficulty.value)}</span>
                    </Explained>
                  )}
                  {q.steps.length > 0 ? (
                    <span className="block text-[13px] text-quiet">steps at {q.steps.map(two).join(', ')}</span>
                  ) : null}
                </td>
                <Fit value={q.infit} />
                <Fit value={q.outfit} />
                {slopes ? (
                  <td className="pl-1 text-right tabular-nums">
                    {q.slope.value === null ? (
                      <span className="text-quiet">–</span>
                    ) : (
                      <Explained figure={q.slope} label={`Slope of question ${q.number}`} show={two}>
                        <span className="tabular-nums">{two(q.slope.value)}</span>
                      </Explained>
                    )}
                  </td>
                ) : null}
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-1 text-sm text-quiet">
          Infit and outfit: 1 where the model fits; above 1.3, answers are less orderly than it says.
          {slopes ? '' : ` ${m.questions[0]?.slope.note ?? ''}`}
        </p>
      </div>
      <div>
        <h2 className="text-lg">Whose answers are unusual?</h2>
        {unusual.length === 0 ? (
          <p className="text-[15px] text-quiet">Nobody has hard questions right and easy ones wrong beyond chance.</p>
        ) : (
          <ul className="text-[15px]">
            {unusual.map((s) => (
              <li key={s.studentId} className="flex gap-2 border-b py-1">
                <span className="flex-1 font-semibold">{s.name}</span>
                <Explained figure={s.pattern} label={`Pattern of ${s.name}`} show={two}>
                  <span className="tabular-nums">{two(s.pattern.value ?? 0)}</span>
                </Explained>
              </li>
            ))}
          </ul>
        )}
      </div>
    </section>
  )
}

function Fit({ value }: { value: number | null }) {
  const odd = value !== null && (value > 1.3 || value < 0.7)
  return (
    <td className={`px-1 text-right tabular-nums ${odd ? 'font-bold text-blue' : ''}`}>
      {value === null ? '–' : two(value)}
    </td>
  )
}
