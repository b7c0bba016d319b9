import { ToWork } from '@/ui/ToWork'
import type { Schemas } from '@/lib/api/client'
import { marks, percent, plural } from '@/lib/format'
import { Ladder } from '@/ui/Ladder'
import { Word } from '@/ui/Word'
import { Distribution } from './Charts'

type Results = Schemas['ResultsResultsView']

export function Rungs({ results: r }: { results: Results }) {
  const n = r.students.filter((s) => s.rung > 0).length
  return (
    <section className="flex flex-col gap-6">
      <Distribution bins={r.bins} />
      <div>
        <h2 className="text-lg">
          Who is on which <Word of="rung" />?
        </h2>
        <ul className="mt-1">
          {[...r.rungs].reverse().map((rung) => (
            <li key={rung.name} className="flex items-center gap-3 border-b py-2">
              <Ladder reached={r.rungs.indexOf(rung) + 1} of={r.rungs.length} name={rung.name} />
              <span className="flex-1">
                {rung.name} <span className="text-sm text-quiet">from {percent(rung.from)}</span>
              </span>
              <span className="tabular-nums">
                {rung.students} <span className="text-quiet">({percent(n > 0 ? rung.students / n : 0)})</span>
              </span>
            </li>
          ))}
        </ul>
        <p className="mt-2 text-sm text-quiet">
          By the share of the marks of the questions that each student’s way led to
          {r.waiting > 0 ? ', without those that wait for a marker' : ''}; n = {n}.
        </p>
      </div>
    </section>
  )
}

export function Students({ results: r }: { results: Results }) {
  return (
    <table className="w-full max-w-2xl text-[15px]">
      <caption className="sr-only">Students and their marks</caption>
      <thead>
        <tr className="border-b text-left text-sm text-quiet">
          <th scope="col" className="py-1.5 font-medium">
            Student
          </th>
          <th scope="col" className="px-2 font-medium">
            <Word of="rung">Rung</Word>
          </th>
          <th scope="col" className="px-2 text-right font-medium">
            Marks
          </th>
          <th scope="col" className="px-2 font-medium">
            Attempts
          </th>
          <th scope="col" className="px-2 font-medium">
            State
          </th>
        </tr>
      </thead>
      <tbody>
        {r.students.map((s) => (
          <tr key={s.studentId} className="border-b">
            <th scope="row" className="py-1 text-left font-semibold">
              <ToWork handoutId={r.handout.id} studentId={s.studentId}>
                {s.name}
              </ToWork>
            </th>
            <td className="px-2">
              {s.rung > 0 ? (
                <Ladder reached={s.rung} of={r.rungs.length} name={r.rungs[s.rung - 1]?.name ?? ''} />
              ) : (
                <span className="text-quiet">not yet</span>
              )}
            </td>
            <td className="px-2 text-right tabular-nums">
              {marks(s.marks)} of {marks(s.of)}
              {s.waiting > 0 ? <span className="text-quiet">, {marks(s.waiting)} wait</span> : null}
            </td>
            <td className="px-2">
              {s.others.length > 0 ? `attempt ${s.attempt} counts; others ${s.others.map(marks).join(', ')}` : ''}
              {s.averaged.length > 0 ? `mean of ${s.averaged.map(marks).join(', ')}` : ''}
              {s.fewerOptions > 0 ? (
                <span className="block">
                  {plural(s.fewerOptions, 'wrong option')} less to pick from, as their support
                </span>
              ) : null}
              {s.corrected > 0 ? (
                <span className="block">{plural(s.corrected, 'answer')} as corrected by a teacher</span>
              ) : null}
            </td>
            <td className="px-2 text-quiet">{s.state}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
