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
  const isIn = (c: string, whole: boolean, student: string) =>
    whole ? !(student in (without[c] ?? {})) : student in students
  /** Ticks some of a class at once, such as a group. */
  const several = (c: string, whole: boolean, some: { id: string; name: string }[], on: boolean) => {
    const all = (names: Names, named: boolean) => some.reduce((next, s) => put(next, s.id, s.name, named), names)
    if (whole) onWithout({ ...without, [c]: all(without[c] ?? {}, !on) })
    else onStudents(all(students, on))
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
              {whole ? 'all but some' : 'groups and single students'}
              <span className="sr-only"> of {c.name}</span>
            </button>
            {open === c.id && roster.data ? (
              <div className="max-h-56 overflow-auto pl-6" role="group" aria-label={`Students of ${c.name}`}>
                {roster.data.groups.map((group) => {
                  const some = roster.data.students.filter((s) => group.students.includes(s.id))
                  const on = some.filter((s) => isIn(c.id, whole, s.id)).length
                  return (
                    <Tick
                      key={group.id}
                      label={<b>{`${group.name}, ${plural(some.length, 'student')}`}</b>}
                      checked={on > 0 && on < some.length ? 'some' : on > 0}
                      disabled={some.length === 0}
                      onChange={(all) => several(c.id, whole, some, all)}
                    />
                  )
                })}
                {roster.data.students.map((s) => (
                  <Tick
                    key={s.id}
                    label={s.name}
                    checked={isIn(c.id, whole, s.id)}
                    onChange={(on) => several(c.id, whole, [s], on)}
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
