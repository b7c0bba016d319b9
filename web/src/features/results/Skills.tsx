import { useQuery } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'
import { percent } from '@/lib/format'
import { Explained } from '@/ui/Explained'
import { Failed, Loading } from '@/ui/States'

const STANDING: Record<number, string> = { 1: '▲ strong', [-1]: '▼ weak' }

/** What each student has shown of each skill; strong and weak only where the interval clears the student's own mean. */
export function Skills({ id }: { id: string }) {
  const skills = useQuery({
    queryKey: ['results', id, 'skills'],
    queryFn: () => take(api.GET('/api/handouts/{id}/results/skills', { params: { path: { id } } })),
  })
  if (skills.isPending) return <Loading what="Reading the skills" />
  if (skills.isError) return <Failed error={skills.error} retry={() => void skills.refetch()} />
  const s = skills.data
  if (s.skills.length === 0) return <p className="py-4 text-quiet">No question of this paper names a skill.</p>
  return (
    <>
      <div className="overflow-x-auto">
        <table className="text-[15px]">
          <thead>
            <tr className="border-b text-left align-bottom text-sm text-quiet">
              <th className="py-1.5 pr-4 font-medium">Student</th>
              {s.skills.map((k) => (
                <th key={k.id} className="max-w-36 px-3 text-right font-medium">
                  {k.name}
                  <span className="block">
                    {k.questions} {k.questions === 1 ? 'question' : 'questions'}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <tr className="border-b bg-pale">
              <th scope="row" className="py-1.5 pr-4 text-left font-semibold">
                All
              </th>
              {s.skills.map((k) => (
                <td key={k.id} className="px-3 text-right">
                  {k.share.value === null ? (
                    '–'
                  ) : (
                    <Explained figure={k.share} label={`${k.name}, all students`} show={percent}>
                      <span className="tabular-nums">{percent(k.share.value)}</span>
                    </Explained>
                  )}
                </td>
              ))}
            </tr>
            {s.students.map((student) => (
              <tr key={student.studentId} className="border-b">
                <th scope="row" className="py-1 pr-4 text-left font-semibold whitespace-nowrap">
                  {student.name}
                </th>
                {student.shares.map((share, i) => (
                  <td key={s.skills[i]?.id} className="px-3 text-right whitespace-nowrap">
                    <span className="mr-1.5 text-sm text-blue">{STANDING[student.standing[i] ?? 0] ?? ''}</span>
                    {share.value === null ? (
                      <span className="text-quiet">–</span>
                    ) : (
                      <Explained figure={share} label={`${s.skills[i]?.name ?? ''}, ${student.name}`} show={percent}>
                        <span className="tabular-nums">{percent(share.value)}</span>
                      </Explained>
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-sm text-quiet">
        Strong and weak: the 95 % interval lies wholly above or below the student’s own mean. With few questions a skill
        hardly ever does; that is not a fault of the student.
      </p>
    </>
  )
}
