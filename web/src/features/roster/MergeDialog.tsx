import { useRef, useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Combobox } from '@/ui/Combobox'
import { Dialog } from '@/ui/Dialog'
import { FaultLine } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

type Student = Schemas['RosterRosterStudentView']

/** Says that a student stands in the list twice: all work of the one record becomes the other's. */
export function MergeDialog({
  student,
  others,
  onClose,
  onDone,
}: {
  /** the record that goes */
  student: Student
  others: Student[]
  onClose: () => void
  onDone: () => Promise<unknown>
}) {
  const id = useRef(crypto.randomUUID())
  const [chosen, setChosen] = useState('')
  const [error, setError] = useState<unknown>(null)
  const into = others.find((other) => other.id === chosen)
  const part = () => take(api.DELETE('/api/merges/{id}', { params: { path: { id: id.current } } })).then(onDone, sorry)
  const go = async (kept: Student) => {
    try {
      await take(
        api.POST('/api/students/{id}/merge', {
          params: { path: { id: student.id } },
          body: { id: id.current, into: kept.id },
        }),
      )
    } catch (thrown) {
      return setError(thrown)
    }
    await onDone()
    onClose()
    toast(`What ${student.name} had is ${kept.name}’s now.`, { undo: () => void part() })
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={`${student.name} is here twice`}
      foot={
        <Button kind="do" disabled={!into} onClick={() => into && void go(into)}>
          {into ? `Keep ${into.name} alone` : 'Keep the other alone'}
        </Button>
      }
    >
      <div className="flex flex-col gap-3">
        <Combobox
          label="The same person as"
          value={chosen}
          onChange={setChosen}
          options={others.map((other) => ({ value: other.id, label: other.name }))}
        />
        <p className="text-[15px] text-quiet">
          All that {student.name} was handed, has sat and was marked becomes the other’s, as further attempts where both
          have sat the same; so do places in groups. Name, PIN and support of the one you choose are kept, and devices
          signed in as {student.name} are signed out. It can be taken back.
        </p>
        <FaultLine error={error} />
      </div>
    </Dialog>
  )
}
