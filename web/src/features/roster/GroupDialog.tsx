import * as z from 'zod/mini'
import { api, take, type Schemas } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { Tick } from '@/ui/Tick'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

type Roster = Schemas['RosterRosterView']
type Group = Roster['groups'][number]

const shape = z.object({ name: asked('Give the group a name.'), students: z.array(z.string()) })

/** A lasting part of a class, ticked together by hand. */
export function GroupDialog({
  of,
  group,
  onClose,
  onDone,
}: {
  of: Roster
  /** null for a new one */
  group: Group | null
  onClose: () => void
  onDone: () => Promise<unknown>
}) {
  const path = { id: of.id }
  const make = (body: z.infer<typeof shape>) =>
    take(api.POST('/api/classes/{id}/groups', { params: { path }, body })).then(onDone)
  const put = (id: string, body: z.infer<typeof shape>) =>
    take(api.PUT('/api/classes/{id}/groups/{group}', { params: { path: { ...path, group: id } }, body })).then(onDone)
  const form = useForm({
    shape,
    start: { name: group?.name ?? '', students: group?.students ?? [] },
    send: async (typed) => {
      if (group === null) await make(typed)
      else await put(group.id, typed)
      onClose()
      toast(
        `“${typed.name}” has ${plural(typed.students.length, 'student')}.`,
        group === null ? {} : { undo: () => void put(group.id, group).catch(sorry) },
      )
    },
  })
  const drop = async (gone: Group) => {
    try {
      await take(api.DELETE('/api/classes/{id}/groups/{group}', { params: { path: { ...path, group: gone.id } } }))
    } catch (thrown) {
      return sorry(thrown)
    }
    await onDone()
    onClose()
    toast(`“${gone.name}” is no group any more. Its students stay in the class.`, {
      undo: () => void make({ name: gone.name, students: gone.students }).catch(sorry),
    })
  }
  const { students } = form.values
  return (
    <Dialog
      open
      onClose={onClose}
      title={group === null ? `A group of ${of.name}` : group.name}
      foot={
        <>
          {group ? <Button onClick={() => void drop(group)}>Take apart</Button> : null}
          <Button kind="do" type="submit" form="group" disabled={form.busy}>
            {group === null ? 'Make the group' : 'Keep it'}
          </Button>
        </>
      }
    >
      <form id="group" className="flex flex-col gap-3" onSubmit={(e) => void form.submit(e)}>
        <TextField label="Name" {...form.field('name')} autoFocus />
        <div role="group" aria-label="Who is in it" className="columns-2 gap-6">
          {of.students.map((s) => (
            <div key={s.id} className="break-inside-avoid">
              <Tick
                label={s.name}
                checked={students.includes(s.id)}
                onChange={(on) => form.set('students', on ? [...students, s.id] : students.filter((id) => id !== s.id))}
              />
            </div>
          ))}
        </div>
        <p className="text-sm text-quiet">{plural(students.length, 'student')} chosen</p>
        <FaultLine error={form.problem} />
      </form>
    </Dialog>
  )
}
