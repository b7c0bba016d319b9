import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take } from '@/lib/api/client'
import { percent } from '@/lib/format'
import { Explained } from '@/ui/Explained'
import { Failed, Loading } from '@/ui/States'
import { two } from './figures'

const STANDING: Record<number, string> = { 1: '▲ strong', [-1]: '▼ weak' }
const MASTERED = 0.95
const TO_OTHERS: Record<number, string> = { 1: 'above others', [-1]: 'below others' }

/** What each student has shown of each skill; strong and weak only where the interval clears the student's own mean. */
export function Skills({ id, group = '' }: { id: string; group?: string }) {
  const skills = useQuery({
    queryKey: ['results', id, 'skills', group],
    queryFn: () =>
      take(
        api.GET('/api/handouts/{id}/results/skills', {
          params: { path: { id }, query: group ? { class: group } : {} },
        }),
      ),
  })
  const [known, setKnown] = useState(false)
  if (skills.isPending) return <Loading what="Reading the skills" />
  if (!skills.data) return <Failed error={skills.error} retry={() => void skills.refetch()} />
  const s = skills.data
  if (s.skills.length === 0) return <p className="py-4 text-quiet">No question of this paper names a skill.</p>
  return (
    <>
      <div role="group" aria-label="What of each skill" className="no-print flex gap-5 pt-2 text-[15px]">
        {[
          { name: 'Share of the marks here', on: !known, pick: () => setKnown(false) },
          { name: 'Probably known, by all work so far', on: known, pick: () => setKnown(true) },
        ].map((choice) => (
          <button
            key={choice.name}
            aria-pressed={choice.on}
            className={choice.on ? 'font-bold' : 'text-quiet hover:text-ink'}
            onClick={choice.pick}
          >
            {choice.name}
          </button>
        ))}
      </div>
      <div className="relative overflow-x-auto">
        <table className="text-[15px]">
          <caption className="sr-only">Credit by student and skill</caption>
          <thead>
            <tr className="border-b text-left align-bottom text-sm text-quiet">
              <th scope="col" className="py-1.5 pr-4 font-medium">
                Student
              </th>
              {s.skills.map((k) => (
                <th scope="col" key={k.id} className="max-w-36 min-w-23 px-2.5 text-right font-medium">
                  {k.name}
                  <span className="block whitespace-nowrap">
                    {k.questions} {k.questions === 1 ? 'question' : 'questions'}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <tr className={`border-b bg-pale ${known ? 'hidden' : ''}`}>
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
                {(known ? student.known : student.shares).map((figure, i) => (
                  <td key={s.skills[i]?.id} className="px-3 text-right whitespace-nowrap">
                    <span className="mr-1.5 text-sm text-blue">
                      {known
                        ? figure.value !== null && figure.value >= MASTERED
                          ? 'shown'
                          : ''
                        : [STANDING[student.standing[i] ?? 0], TO_OTHERS[student.toOthers[i] ?? 0]]
                            .filter(Boolean)
                            .join(', ')}
                    </span>
                    {figure.value === null ? (
                      <span className="text-quiet">–</span>
                    ) : (
                      <Explained
                        figure={figure}
                        label={`${s.skills[i]?.name ?? ''}, ${student.name}`}
                        show={known ? two : percent}
                      >
                        <span className="tabular-nums">{known ? two(figure.value) : percent(figure.value)}</span>
                      </Explained>
                    )}
                    {known && figure.note === 'few' ? <span className="text-sm text-quiet"> few</span> : null}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-sm text-quiet">
        {known
          ? 'How likely each skill is known after every first try so far, in whichever paper it was asked. Shown: 0.95 or more. Few: fewer than five answers, so the start still weighs.'
          : 'Strong and weak: the 95 % interval lies wholly above or below the student’s own mean; above and below others: the same against the mean of all students here. With few questions a skill hardly ever does; that is not a fault of the student.'}
      </p>
    </>
  )
}
