import { useQuery } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'
import { percent, plural } from '@/lib/format'
import { Explained } from '@/ui/Explained'
import { Failed, Loading } from '@/ui/States'
import {} from './Charts'
import { Whisker } from '@/ui/chart/small'
import { points, two } from './figures'

/** How do the classes differ? Whole marks first, then questions that differ among students of the same score. */
export function Classes({ id }: { id: string }) {
  const classes = useQuery({
    queryKey: ['results', id, 'classes'],
    queryFn: () => take(api.GET('/api/handouts/{id}/results/classes', { params: { path: { id } } })),
  })
  if (classes.isPending) return <Loading what="Comparing the classes" />
  if (!classes.data) return <Failed error={classes.error} retry={() => void classes.refetch()} />
  const list = classes.data.classes
  if (list.length < 2)
    return <p className="py-4 text-quiet">This went to one class, or to single students: nothing to compare.</p>
  return (
    <>
      <table className="mt-1 text-[15px]">
        <caption className="py-2 text-left font-head font-semibold">How do the classes differ?</caption>
        <thead>
          <tr className="border-b text-left text-sm text-quiet">
            <th scope="col" className="pr-6 font-medium">
              Class
            </th>
            <th scope="col" className="pr-6 font-medium">
              Share of the marks, with 95 %
            </th>
            <th scope="col" className="pr-6 text-right font-medium">
              Against all others
            </th>
            <th scope="col" className="text-right font-medium">
              In spreads
            </th>
          </tr>
        </thead>
        <tbody>
          {list.map((c) => (
            <tr key={c.name} className="border-b">
              <td className="py-1.5 pr-6 font-semibold">{c.name}</td>
              <td className="pr-6 whitespace-nowrap">
                <Whisker figure={c.share} />{' '}
                {c.share.value === null ? (
                  '–'
                ) : (
                  <Explained figure={c.share} label={`Share of the marks, ${c.name}`} show={percent}>
                    <span className="tabular-nums">{percent(c.share.value)}</span>
                  </Explained>
                )}
                <span className="text-sm text-quiet"> of {plural(c.share.n, 'student')}</span>
              </td>
              <td className="pr-6 text-right">
                {c.difference.value === null ? (
                  '–'
                ) : (
                  <Explained figure={c.difference} label={`${c.name} against all others`} show={points}>
                    <span className="tabular-nums">{points(c.difference.value)}</span>
                  </Explained>
                )}
              </td>
              <td className="text-right">
                {c.effect.value === null ? (
                  '–'
                ) : (
                  <Explained figure={c.effect} label={`${c.name} against all others, in spreads`} show={two}>
                    <span className="tabular-nums">{two(c.effect.value)}</span>
                  </Explained>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2 className="mt-5 text-lg">Which questions differ at the same score?</h2>
      {list.every((c) => c.differing.length === 0) ? (
        <p className="text-[15px] text-quiet">
          None: students of the same score find each question equally hard, whatever their class.
        </p>
      ) : (
        <ul className="text-[15px]">
          {list.flatMap((c) =>
            c.differing.map((d) => (
              <li key={c.name + d.entry} className="border-b py-1.5">
                <b>
                  {d.number} · {d.title}
                </b>{' '}
                is {(d.delta.value ?? 0) < 0 ? 'harder' : 'easier'} for {c.name} than for others of the same score{' '}
                <Explained figure={d.delta} label={`${d.title}, ${c.name} against all others`} show={two}>
                  <span className="tabular-nums">
                    {two(d.delta.value ?? 0)}, class {d.class}
                  </span>
                </Explained>
              </li>
            )),
          )}
        </ul>
      )}
      <p className="mt-2 text-sm text-quiet">
        A class that was taught something another was not shows here; so does a question that leans on words one class
        knows.
      </p>
    </>
  )
}
