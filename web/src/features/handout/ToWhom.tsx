import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { ask } from '@/lib/queries'
import { Tick } from '@/ui/Tick'

type Names = Record<string, string>

/** Classes, some of a class left out, or single students. */
export function ToWhom({
  classes,
  chosen,
  students,
  without,
  fault,
  onClasses,
  onStudents,
  onWithout,
}: {
  classes: Schemas['RosterClassRowView'][]
  chosen: string[]
  /** names of single students, by id */
  students: Names
  /** names of those who are left out, by class and id */
  without: Record<string, Names>
  fault: string | undefined
  onClasses: (ids: string[]) => void
  onStudents: (students: Names) => void
  onWithout: (without: Record<string, Names>) => void
}) {
  const [open, setOpen] = useState('')
  const roster = useQuery({ ...ask.roster(open), enabled: open !== '' })
  const left = chosen.flatMap((id) => Object.values(without[id] ?? {}))
  const turn = (id: string, on: boolean) => {
    setOpen('')
    onClasses(on ? [...chosen, id] : chosen.filter((x) => x !== id))
  }
  const put = (names: Names, id: string, name: string, on: boolean) => {
    const next = { ...names }
    if (on) next[id] = name
    else delete next[id]
    return next
  }
  return (
    <div role="group" aria-label="To whom">
      <h2 className="text-base">To whom</h2>
      {classes.map((c) => {
        const whole = chosen.includes(c.id)
        return (
          <div key={c.id} className="border-b py-1">
            <Tick
              label={`${c.name}, ${plural(c.students, 'student')}`}
              checked={whole}
              onChange={(on) => turn(c.id, on)}
            />
            <button
              type="button"
              aria-expanded={open === c.id}
              className="ml-6 text-sm text-blue underline"
              onClick={() => setOpen(open === c.id ? '' : c.id)}
            >
              {whole ? 'all but some' : 'single students'}
              <span className="sr-only"> of {c.name}</span>
            </button>
            {open === c.id && roster.data ? (
              <div className="max-h-56 overflow-auto pl-6" role="group" aria-label={`Students of ${c.name}`}>
                {roster.data.students.map((s) => (
                  <Tick
                    key={s.id}
                    label={s.name}
                    checked={whole ? !(s.id in (without[c.id] ?? {})) : s.id in students}
                    onChange={(on) =>
                      whole
                        ? onWithout({ ...without, [c.id]: put(without[c.id] ?? {}, s.id, s.name, !on) })
                        : onStudents(put(students, s.id, s.name, on))
                    }
                  />
                ))}
              </div>
            ) : null}
          </div>
        )
      })}
      {classes.length === 0 ? <p className="text-quiet">No class yet.</p> : null}
      {fault ? <p className="text-sm font-semibold text-bad">✕ {fault}</p> : null}
      {Object.keys(students).length > 0 ? (
        <p className="pt-2 text-sm">and {Object.values(students).join(', ')}</p>
      ) : null}
      {left.length > 0 ? <p className="pt-2 text-sm">without {left.join(', ')}</p> : null}
    </div>
  )
}
