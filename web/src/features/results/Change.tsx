import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Moved } from '@/ui/chart/small'
import { api, take, type Schemas } from '@/lib/api/client'
import { moment, percent, plural } from '@/lib/format'
import { Explained } from '@/ui/Explained'
import { SelectField } from '@/ui/Select'
import { Failed, Loading } from '@/ui/States'
import { points } from './figures'

type Props = { id: string; since: string | null; onSince: (earlier: string) => void }

/** What has changed since an earlier handout? The whole, the skills both ask for, and who has moved. */
export function Change({ id, since, onSince }: Props) {
  const change = useQuery({
    queryKey: ['results', id, 'change', since],
    queryFn: () =>
      take(
        api.GET('/api/handouts/{id}/results/change', {
          params: { path: { id }, query: since ? { since } : {} },
        }),
      ),
    placeholderData: keepPreviousData,
  })
  if (change.isPending) return <Loading what="Comparing with earlier work" />
  if (!change.data) return <Failed error={change.error} retry={() => void change.refetch()} />
  const c = change.data
  if (c.since === null)
    return (
      <p className="py-4 text-quiet">
        There is no earlier handout that at least two of these students sat too: nothing to compare with.
      </p>
    )
  return (
    <div className="flex flex-col gap-5 pt-3">
      <div className="max-w-md">
        <SelectField
          label="Since"
          value={c.since}
          onChange={onSince}
          options={[
            ...c.earlier.map((e) => ({
              value: e.id,
              label: `${e.title}, ${moment(e.madeAt)} (${plural(e.students, 'student')})`,
            })),
          ]}
        />
      </div>
      <table className="max-w-3xl text-[15px]">
        <caption className="pb-2 text-left font-head font-semibold">What has changed, and how sure is it?</caption>
        <thead>
          <tr className="border-b text-left text-sm text-quiet">
            <th scope="col" className="py-1 pr-6 font-medium">
              Share of the marks
            </th>
            <th scope="col" className="pr-6 text-right font-medium">
              Before
            </th>
            <th scope="col" className="pr-6 text-right font-medium">
              Now
            </th>
            <th scope="col" className="pr-6 text-right font-medium">
              Change
            </th>
            <th scope="col" className="pr-6 text-right font-medium">
              With 95 %
            </th>
            <th scope="col" className="text-right font-medium">
              Students
            </th>
          </tr>
        </thead>
        <tbody>
          {c.lines.map((line) => (
            <tr key={line.skill ?? ''} className="border-b">
              <th
                scope="row"
                className={`py-1 pr-6 text-left ${line.skill === null ? 'font-semibold' : 'font-normal'}`}
              >
                {line.skill ?? 'The whole'}
              </th>
              <td className="pr-6 text-right tabular-nums">{percent(line.before)}</td>
              <td className="pr-6 text-right tabular-nums">{percent(line.after)}</td>
              <td className="pr-6 text-right whitespace-nowrap">
                {line.change.value === null ? (
                  '–'
                ) : (
                  <Explained figure={line.change} label={`Change, ${line.skill ?? 'the whole'}`} show={points}>
                    <b className="tabular-nums">{points(line.change.value)}</b>
                  </Explained>
                )}
              </td>
              <td className="pr-6 text-right whitespace-nowrap text-quiet tabular-nums">
                {line.change.low === null || line.change.high === null
                  ? ''
                  : `${points(line.change.low).replace(' points', '')} to ${points(line.change.high).replace(' points', '')}`}
              </td>
              <td className="text-right whitespace-nowrap tabular-nums">
                {line.change.n}
                {line.change.note === 'few' ? <span className="text-quiet"> few</span> : null}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="max-w-3xl text-sm text-quiet">
        {c.same
          ? 'Both asked the same questions.'
          : 'The questions were not the same, so part of a change may be that they were easier or harder.'}{' '}
        Only students who sat both are counted.
      </p>
      <Moves students={c.students} />
    </div>
  )
}

/** Who has moved, and how far? A line a student from before (hollow) to now (full). */
function Moves({ students }: { students: Schemas['ResultsStudentMoveView'][] }) {
  return (
    <table className="max-w-3xl text-[15px]">
      <caption className="pb-2 text-left font-head font-semibold">Who has moved, and how far?</caption>
      <thead>
        <tr className="border-b text-left text-sm text-quiet">
          <th scope="col" className="py-1 pr-4 font-medium">
            Student
          </th>
          <th scope="col" className="pr-4 font-medium">
            0 to 100 % of the marks
          </th>
          <th scope="col" className="pr-4 text-right font-medium">
            Before
          </th>
          <th scope="col" className="pr-4 text-right font-medium">
            Now
          </th>
          <th scope="col" className="text-right font-medium">
            Change
          </th>
        </tr>
      </thead>
      <tbody>
        {students.map((s) => (
          <tr key={s.studentId} className="border-b">
            <th scope="row" className="py-1 pr-4 text-left font-semibold whitespace-nowrap">
              {s.name}
            </th>
            <td className="pr-4">
              <Moved before={s.before} after={s.after} />
            </td>
            <td className="pr-4 text-right tabular-nums">{percent(s.before)}</td>
            <td className="pr-4 text-right tabular-nums">{percent(s.after)}</td>
            <td className="text-right whitespace-nowrap tabular-nums">{points(s.after - s.before)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
