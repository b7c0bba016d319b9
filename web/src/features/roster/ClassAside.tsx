import { useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Fold } from '@/ui/Fold'
import { Tick } from '@/ui/Tick'
import { sorry } from '@/ui/sorry'
import { GroupDialog } from './GroupDialog'
import { TeachersDialog } from './TeachersDialog'

type Roster = Schemas['RosterRosterView']

/** What can be said of a class beside its list: how one comes in, whose it is, its groups, and who has left. */
export function ClassAside({ of, onDone }: { of: Roster; onDone: () => Promise<unknown> }) {
  const [grouping, setGrouping] = useState<Roster['groups'][number] | 'new' | null>(null)
  const [teachers, setTeachers] = useState(false)
  const own = of.staff.filter((s) => of.teachers.includes(s.id)).map((s) => s.name)
  const back = (student: string) =>
    take(api.POST('/api/classes/{id}/students/{student}/return', { params: { path: { id: of.id, student } } }))
      .then(onDone)
      .catch(sorry)
  return (
    <div className="flex flex-col gap-6">
      <section>
        <h2 className="text-lg">Class code</h2>
        <p className="mt-1 font-head text-4xl font-semibold tracking-widest">{of.code}</p>
        <p className="mt-3 text-[15px]">
          Students open <b>{location.host}/join</b> and type this code, their name and their own PIN. The code alone
          lets nobody in.
        </p>
        <Button size="small" className="mt-2" onClick={() => void window.open(`/wall/class/${of.id}`, 'chalk-wall')}>
          On the wall
        </Button>
        <div className="mt-3">
          <Tick
            label="Three pictures bring in as well as a PIN"
            checked={of.pictures}
            onChange={(on) =>
              void take(api.PUT('/api/classes/{id}/pictures', { params: { path: { id: of.id } }, body: { on } }))
                .then(onDone)
                .catch(sorry)
            }
          />
          {of.pictures ? (
            <p className="text-sm text-quiet">
              For those who do not read numbers yet; they stand on the slips. They are easier to guess than a PIN.
            </p>
          ) : null}
        </div>
      </section>
      <section>
        <h2 className="text-lg">Groups</h2>
        {of.groups.length === 0 ? (
          <p className="text-[15px] text-quiet">None yet. A group can be handed its own work.</p>
        ) : null}
        <ul className="mt-1">
          {of.groups.map((group) => (
            <li key={group.id} className="flex items-baseline gap-2 border-b py-1">
              <button className="min-w-0 flex-1 text-left text-blue underline" onClick={() => setGrouping(group)}>
                {group.name}
              </button>
              <span className="text-sm text-quiet">{plural(group.students.length, 'student')}</span>
            </li>
          ))}
        </ul>
        <Button size="small" className="mt-2" disabled={of.students.length === 0} onClick={() => setGrouping('new')}>
          New group
        </Button>
      </section>
      <section>
        <h2 className="text-lg">Whose class is it?</h2>
        <p className="text-[15px]">
          {own.length > 0 ? own.join(', ') : 'Everybody’s. A teacher’s own classes stand first in their lists.'}
        </p>
        <Button size="small" className="mt-2" onClick={() => setTeachers(true)}>
          Change
        </Button>
      </section>
      {of.left.length > 0 ? (
        <section>
          <Fold label={of.left.length === 1 ? '1 has left' : `${of.left.length} have left`}>
            <ul>
              {of.left.map((one) => (
                <li key={one.id} className="flex items-baseline gap-2 border-b py-1">
                  <span className="min-w-0 flex-1">{one.name}</span>
                  <Button
                    kind="quiet"
                    size="small"
                    onClick={() => void back(one.id)}
                    aria-label={`Back on the roster: ${one.name}`}
                  >
                    Back on the roster
                  </Button>
                </li>
              ))}
            </ul>
          </Fold>
        </section>
      ) : null}
      {grouping ? (
        <GroupDialog
          of={of}
          group={grouping === 'new' ? null : grouping}
          onClose={() => setGrouping(null)}
          onDone={onDone}
        />
      ) : null}
      {teachers ? <TeachersDialog of={of} onClose={() => setTeachers(false)} onDone={onDone} /> : null}
    </div>
  )
}
