import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { percent, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Explained } from '@/ui/Explained'
import { Failed, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'
import { two } from './figures'

type Agreement = Schemas['ResultsAgreementView']
type Apart = Schemas['ResultsDisagreementView']
type Figure = Schemas['ResultsFigureView']

/** How far do the markers agree, who is strict, and where must somebody decide? */
export function Markers({ id }: { id: string }) {
  const markers = useQuery({
    queryKey: ['results', id, 'markers'],
    queryFn: () => take(api.GET('/api/handouts/{id}/results/markers', { params: { path: { id } } })),
  })
  if (markers.isPending) return <Loading what="Comparing the markers" />
  if (!markers.data) return <Failed error={markers.error} retry={() => void markers.refetch()} />
  return (
    <div className="flex flex-col gap-8 pt-3">
      {markers.data.questions.map((q) => (
        <section key={q.entry} aria-label={q.title}>
          <h2 className="text-lg">
            {q.number} · {q.title}
          </h2>
          {q.answers === 0 ? (
            <p className="text-[15px] text-quiet">
              No answer has been marked twice.{' '}
              <Link className="text-blue underline" to={`/marking/${id}/${q.entry}?second=1`}>
                Mark a second time
              </Link>
            </p>
          ) : (
            <>
              <p className="text-sm text-quiet">
                {plural(q.answers, 'answer')} marked by {q.markers.join(' and ')}, each without seeing the other’s mark.{' '}
                <Link className="text-blue underline" to={`/marking/${id}/${q.entry}?second=1`}>
                  Mark more
                </Link>
              </p>
              <AgreementTable q={q} />
              <Disagreements q={q} handoutId={id} />
            </>
          )}
        </section>
      ))}
    </div>
  )
}

function AgreementTable({ q }: { q: Agreement }) {
  return (
    <table className="mt-2 text-[15px]">
      <caption className="pb-1 text-left font-head font-semibold">How far do they agree, and who is strict?</caption>
      <thead>
        <tr className="border-b text-left align-bottom text-sm text-quiet">
          <th scope="col" className="pb-1 pr-5 font-medium">
            Criterion
          </th>
          <th scope="col" className="pb-1 pr-5 text-right font-medium">
            The same level
          </th>
          <th scope="col" className="pb-1 pr-5 text-right font-medium">
            Next to it at most
          </th>
          <th scope="col" className="pb-1 pr-5 text-right font-medium">
            Weighted κ
          </th>
          <th scope="col" className="pb-1 pr-5 text-right font-medium">
            Ordinal α
          </th>
          <th scope="col" className="pb-1 pr-5 text-right font-medium">
            ICC(2,1)
          </th>
          <th scope="col" className="pb-1 text-right font-medium">
            Strict (−) or mild (+)
          </th>
        </tr>
      </thead>
      <tbody>
        {q.criteria.map((c) => (
          <tr key={c.name} className="border-b align-top">
            <th scope="row" className="py-1.5 pr-5 text-left font-semibold">
              {c.name}
            </th>
            <Cell figure={c.exact} label={`The same level, ${c.name}`} show={percent} />
            <Cell figure={c.adjacent} label={`Next to it at most, ${c.name}`} show={percent} />
            <Cell figure={c.kappa} label={`Weighted κ, ${c.name}`} show={two} />
            <Cell figure={c.alpha} label={`Ordinal α, ${c.name}`} show={two} />
            <Cell figure={c.icc} label={`ICC(2,1), ${c.name}`} show={two} />
            <td className="py-1.5 text-right">
              {c.severity.map((s) => (
                <span key={s.marker} className="block whitespace-nowrap">
                  {s.marker}{' '}
                  {s.severity.value === null ? (
                    '–'
                  ) : (
                    <Explained figure={s.severity} label={`${s.marker}, ${c.name}`} show={two}>
                      <span className="tabular-nums">{signed(s.severity.value)}</span>
                    </Explained>
                  )}
                </span>
              ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

const signed = (x: number) => `${x > 0 ? '+' : ''}${two(x)}`

function Cell({ figure, label, show }: { figure: Figure; label: string; show: (x: number) => string }) {
  return (
    <td className="py-1.5 pr-5 text-right whitespace-nowrap">
      {figure.value === null ? (
        <Explained figure={figure} label={label} show={show}>
          <span className="text-quiet">–</span>
        </Explained>
      ) : (
        <Explained figure={figure} label={label} show={show}>
          <span className="tabular-nums">{show(figure.value)}</span>
        </Explained>
      )}
      {figure.low === null || figure.high === null ? null : (
        <span className="block text-sm text-quiet tabular-nums">
          {show(figure.low).replace(' %', '')} to {show(figure.high)}
          {figure.note === 'few' ? ', few' : ''}
        </span>
      )}
    </td>
  )
}

/** The points of the levels that were given, by criterion. */
const inPoints = (rubric: Agreement['rubric'], given: (number | null)[]) =>
  rubric.map((c, i) => `${c.name} ${c.points[given[i] ?? -1] ?? '–'}`).join(', ')

/** Where they differ, somebody decides: either mark can be made the one that counts. */
function Disagreements({ q, handoutId }: { q: Agreement; handoutId: string }) {
  const client = useQueryClient()
  if (q.apart.length === 0) return <p className="mt-2 text-good">✓ They agree on every answer.</p>
  const settle = async (a: Apart, given: (number | null)[], marker: string) => {
    try {
      await take(
        api.PUT('/api/marks', {
          body: {
            sittingId: a.sittingId,
            entry: q.entry,
            try: a.try,
            levels: given,
            credit: null,
            comment: a.comment,
            markVersion: a.markVersion,
          },
        }),
      )
      toast(`${a.student}: ${marker}’s mark counts now.`)
    } catch (thrown) {
      const problem = problemOf(thrown)
      toast(`${problem.message} ${problem.detail}`, { bad: true })
    }
    await client.invalidateQueries({ queryKey: ['results', handoutId] })
    void client.invalidateQueries({ queryKey: ['desk'] })
  }
  return (
    <>
      <h3 className="mt-4 font-head font-semibold">Where do they differ? ({q.apart.length})</h3>
      <ul>
        {q.apart.map((a) => (
          <li key={`${a.sittingId}-${a.try}`} className="grid gap-x-6 gap-y-1 border-b py-2.5 md:grid-cols-[1fr_auto]">
            <div>
              <p className="text-sm text-quiet">{a.student}</p>
              <p className="text-[15px] whitespace-pre-wrap">{a.given}</p>
            </div>
            <ul className="flex flex-col gap-1 text-[15px]">
              {a.marks.map((m) => {
                const counts = a.now !== null && String(a.now) === String(m.levels)
                return (
                  <li key={m.marker} className="flex items-baseline justify-end gap-3">
                    <span>
                      {m.marker}: <b>{inPoints(q.rubric, m.levels)}</b>
                    </span>
                    {counts ? (
                      <span className="w-28 text-sm text-good">✓ counts</span>
                    ) : (
                      <span className="w-28">
                        <Button
                          size="small"
                          aria-label={`Let ${m.marker}’s mark count for ${a.student}`}
                          onClick={() => void settle(a, m.levels, m.marker)}
                        >
                          Let it count
                        </Button>
                      </span>
                    )}
                  </li>
                )
              })}
            </ul>
          </li>
        ))}
      </ul>
    </>
  )
}
