import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useParams } from 'react-router'
import * as z from 'zod/mini'
import { ask } from '@/lib/queries'
import { api, take, type Schemas } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { Menu } from '@/ui/Menu'
import { Empty, Failed, FaultLine, Loading } from '@/ui/States'
import { Thing } from '@/ui/Thing'
import { toast } from '@/ui/toast'
import { AddStudents } from './AddStudents'
import { ClassAside } from './ClassAside'
import { MergeDialog } from './MergeDialog'
import { MoveDialog } from './MoveDialog'
import { Slips } from './Slips'
import { SupportDialog } from './SupportDialog'

export default function ClassDesk() {
  const { id = '' } = useParams()
  const client = useQueryClient()
  const one = useQuery(ask.roster(id))
  const [adding, setAdding] = useState(false)
  const [slips, setSlips] = useState<Schemas['RosterSlipsView'] | null>(null)
  const [renaming, setRenaming] = useState<Renaming | null>(null)
  const [supporting, setSupporting] = useState<Schemas['RosterRosterStudentView'] | null>(null)
  const [merging, setMerging] = useState<Schemas['RosterRosterStudentView'] | null>(null)
  const [moving, setMoving] = useState<Schemas['RosterRosterStudentView'] | null>(null)
  const [pin, setPin] = useState<{ name: string; pin: string; pictures: string[]; account: boolean } | null>(null)
  const refresh = () =>
    Promise.all([
      client.invalidateQueries({ queryKey: ['class'] }),
      client.invalidateQueries({ queryKey: ['classes'] }),
    ])
  const print = async () => setSlips(await take(api.POST('/api/classes/{id}/slips', { params: { path: { id } } })))
  const reset = async (student: Schemas['RosterRosterStudentView']) => {
    const fresh = await take(
      api.POST('/api/classes/{id}/students/{student}/pin', { params: { path: { id, student: student.id } } }),
    )
    setPin({ name: student.name, pin: fresh.pin, pictures: fresh.pictures, account: student.account })
    await refresh()
  }
  const leave = async (student: Schemas['RosterRosterStudentView']) => {
    const path = { id, student: student.id }
    await take(api.DELETE('/api/classes/{id}/students/{student}', { params: { path } }))
    await refresh()
    toast(`${student.name} is off the roster. Their work stays.`, {
      undo: () =>
        void take(api.POST('/api/classes/{id}/students/{student}/return', { params: { path } })).then(refresh),
    })
  }
  useKeys({
    a: { label: 'Add students', run: () => setAdding(true) },
    p: { label: 'Slips to print', run: () => void print() },
  })
  if (one.isPending) return <Loading />
  if (!one.data) return <Failed error={one.error} />
  const groupsOf = (student: string) =>
    one.data.groups
      .filter((g) => g.students.includes(student))
      .map((g) => g.name)
      .join(', ')
  if (slips) return <Slips slips={slips} onClose={() => setSlips(null)} />
  return (
    <>
      <Head title={one.data.name} note={plural(one.data.students.length, 'student')}>
        <Button onClick={() => setRenaming({ student: null, name: one.data.name })}>Rename</Button>
        <Button hint="p" disabled={one.data.students.length === 0} onClick={() => void print()}>
          Slips to print
        </Button>
        <Button kind="do" hint="a" onClick={() => setAdding(true)}>
          Add students
        </Button>
      </Head>
      <Desk rightLabel="About the class" right={<ClassAside of={one.data} onDone={refresh} />}>
        {one.data.students.length === 0 ? (
          <Empty title="Nobody is on the roster">
            <p>Paste a list of names, or a CSV file’s text. You see what becomes of each line first.</p>
            <Button onClick={() => setAdding(true)}>Add students</Button>
          </Empty>
        ) : (
          <table className="w-full max-w-4xl">
            <caption className="sr-only">Students of the class</caption>
            <tbody>
              {one.data.students.map((student, i) => (
                <tr key={student.id} className="border-b hover:bg-pale">
                  <td className="w-12 py-1.5 pl-6 text-right text-sm text-quiet tabular-nums">{i + 1}</td>
                  <td className="px-3 font-semibold">{student.name}</td>
                  <td className="px-3 text-sm text-quiet">
                    {[groupsOf(student.id), student.account ? 'own account' : ''].filter(Boolean).join(' · ')}
                  </td>
                  <td className="pr-6 text-right">
                    <Button
                      kind="quiet"
                      size="small"
                      onClick={() => setSupporting(student)}
                      aria-label={`Support for ${student.name}${student.support ? ', given' : ''}`}
                    >
                      {student.support ? '● Support' : 'Support'}
                    </Button>
                    <Button
                      kind="quiet"
                      size="small"
                      onClick={() => void reset(student)}
                      aria-label={`New PIN for ${student.name}`}
                    >
                      New PIN
                    </Button>
                    <Menu
                      face="More"
                      label={`More for ${student.name}`}
                      kind="quiet"
                      size="small"
                      acts={[
                        {
                          id: 'rename',
                          label: 'Rename',
                          run: () => setRenaming({ student: student.id, name: student.name }),
                        },
                        { id: 'move', label: 'To another class', run: () => setMoving(student) },
                        { id: 'merge', label: 'Is here twice', run: () => setMerging(student) },
                        { id: 'leave', label: 'Off the roster', run: () => void leave(student) },
                      ]}
                    />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Desk>
      <AddStudents classId={id} open={adding} onClose={() => setAdding(false)} onDone={() => void refresh()} />
      {supporting ? (
        <SupportDialog classId={id} student={supporting} onClose={() => setSupporting(null)} onDone={refresh} />
      ) : null}
      {merging ? (
        <MergeDialog
          student={merging}
          others={one.data.students.filter((s) => s.id !== merging.id)}
          onClose={() => setMerging(null)}
          onDone={refresh}
        />
      ) : null}
      {moving ? <MoveDialog classId={id} student={moving} onClose={() => setMoving(null)} onDone={refresh} /> : null}
      {renaming ? <RenameDialog classId={id} of={renaming} onClose={() => setRenaming(null)} onDone={refresh} /> : null}
      <Dialog open={pin !== null} onClose={() => setPin(null)} title={`New PIN for ${pin?.name ?? ''}`}>
        <p className="font-head text-4xl font-semibold tracking-widest tabular-nums">{pin?.pin}</p>
        {pin && pin.pictures.length > 0 ? (
          <p className="mt-2 flex gap-3">
            {pin.pictures.map((name, i) => (
              <Thing key={i} name={name} size={44} />
            ))}
          </p>
        ) : null}
        <p className="mt-2">
          The old PIN no longer works, and every device that was signed in has been signed out.
          {pin?.account ? ' Their own account is closed too; with this PIN they can take a new one.' : ''}
        </p>
      </Dialog>
    </>
  )
}

/** What gets another name: a student of the class, or the class itself. */
type Renaming = { student: string | null; name: string }

const shape = z.object({ name: asked('Type a name.') })

function RenameDialog({
  classId,
  of,
  onClose,
  onDone,
}: {
  classId: string
  of: Renaming
  onClose: () => void
  onDone: () => Promise<unknown>
}) {
  const rename = (to: string) => {
    const body = { name: to }
    const done =
      of.student === null
        ? api.PUT('/api/classes/{id}', { params: { path: { id: classId } }, body })
        : api.PUT('/api/classes/{id}/students/{student}', {
            params: { path: { id: classId, student: of.student } },
            body,
          })
    return take<unknown>(done).then(onDone)
  }
  const form = useForm({
    shape,
    start: { name: of.name },
    send: async ({ name }) => {
      await rename(name)
      onClose()
      toast(`“${of.name}” is called “${name}” now.`, { undo: () => void rename(of.name) })
    },
  })
  return (
    <Dialog open onClose={onClose} title={`Rename ${of.name}`}>
      <form className="flex flex-col gap-3" onSubmit={(e) => void form.submit(e)}>
        <TextField
          label={of.student === null ? 'Name of the class' : 'Name'}
          note={of.student === null ? undefined : 'They join with this name from now on; their work and PIN stay.'}
          {...form.field('name')}
          autoFocus
        />
        <FaultLine error={form.problem} />
        <Button kind="do" type="submit" className="self-start" disabled={form.busy}>
          Rename
        </Button>
      </form>
    </Dialog>
  )
}
