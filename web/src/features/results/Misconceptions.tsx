import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Explained } from '@/ui/Explained'
import { ToWork } from '@/ui/ToWork'
import { Whisker } from '@/ui/chart/small'
import { two } from './figures'

export function Misconceptions({ results: r }: { results: Schemas['ResultsResultsView'] }) {
  const [open, setOpen] = useState<string | null>(r.misconceptions[0]?.id ?? null)
  if (r.misconceptions.length === 0)
    return <p className="py-4 text-quiet">No answer showed a misconception that a question names.</p>
  return (
    <ul>
      {r.misconceptions.map((m) => (
        <li key={m.id} className="border-b py-2">
          <button
            className="flex w-full items-baseline gap-3 text-left"
            aria-expanded={open === m.id}
            onClick={() => setOpen(open === m.id ? null : m.id)}
          >
            <b className="flex-1">{m.name}</b>
            <span className="text-[15px] tabular-nums">
              {m.likely > 0 ? `likely with ${m.likely}, ` : ''}shown by {m.students.length} of {r.students.length}
            </span>
          </button>
          {open === m.id ? (
            <>
              {m.nextStep ? <p className="text-[15px] text-quiet">Next: {m.nextStep}</p> : null}
              <table className="mt-1 text-[15px]">
                <caption className="sr-only">Who shows it, and how often</caption>
                <thead>
                  <tr className="text-left text-sm text-quiet">
                    <th scope="col" className="pr-6 font-medium">
                      Student
                    </th>
                    <th scope="col" className="pr-6 font-medium">
                      Shown
                    </th>
                    <th scope="col" className="font-medium">
                      Rate, with 95 %
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {m.students.map((s) => (
                    <tr key={s.studentId}>
                      <td className="pr-6">
                        <ToWork handoutId={r.handout.id} studentId={s.studentId}>
                          {s.name}
                        </ToWork>{' '}
                        {s.likely ? <span className="text-blue">likely</span> : null}
                      </td>
                      <td className="pr-6 tabular-nums">
                        {s.shown} of {s.offered}
                      </td>
                      <td className="whitespace-nowrap">
                        <Whisker figure={s.rate} />{' '}
                        {s.rate.value === null ? null : (
                          <Explained figure={s.rate} label={`How likely ${s.name} follows this idea`} show={two}>
                            <span className="tabular-nums">{two(s.rate.value)}</span>
                          </Explained>
                        )}
                        {s.rate.note === 'few' ? <span className="text-quiet"> few</span> : null}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
          ) : null}
        </li>
      ))}
    </ul>
  )
}
