import { useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { SelectField } from '@/ui/Select'
import { FaultLine } from '@/ui/States'
import { Tick } from '@/ui/Tick'
import { toast } from '@/ui/toast'

type Student = Schemas['RosterRosterStudentView']
type Support = Schemas['RosterSupportView']
const NONE: Support = {
  readAloud: false,
  largerText: false,
  lineFocus: false,
  wordNotes: false,
  fewerOptions: 0,
  extraTime: 0,
}
const TICKS = [
  { name: 'readAloud', says: 'Reads out what is asked, and the sources, with the device’s own voice' },
  { name: 'largerText', says: 'Begins with the largest letters' },
  { name: 'lineFocus', says: 'Lights a few lines at a time' },
  { name: 'wordNotes', says: 'Has words that a source tells written beside it' },
] as const

/** What helps one student in every piece of work. Teachers of the team see it; no student and no marker does. */
export function SupportDialog({
  classId,
  student,
  onClose,
  onDone,
}: {
  classId: string
  student: Student
  onClose: () => void
  onDone: () => Promise<unknown>
}) {
  const [support, setSupport] = useState<Support>(student.support ?? NONE)
  const [error, setError] = useState<unknown>(null)
  const [busy, setBusy] = useState(false)
  const put = (body: Support) =>
    take(
      api.PUT('/api/classes/{id}/students/{student}/support', {
        params: { path: { id: classId, student: student.id } },
        body,
      }),
    ).then(onDone)
  const keep = async () => {
    setBusy(true)
    try {
      await put(support)
      onClose()
      toast(`The support of ${student.name} is changed.`, { undo: () => void put(student.support ?? NONE) })
    } catch (thrown) {
      setError(thrown)
      setBusy(false)
    }
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Support for ${student.name}`}
      foot={
        <Button kind="do" disabled={busy} onClick={() => void keep()}>
          Keep it
        </Button>
      }
    >
      <div className="flex flex-col gap-3">
        <p className="text-[15px] text-quiet">
          In every piece of work from now on. Only teachers of the team see it. Try a paper as {student.name} in its
          preview.
        </p>
        {TICKS.map(({ name, says }) => (
          <Tick
            key={name}
            label={says}
            checked={support[name]}
            onChange={(on) => setSupport({ ...support, [name]: on })}
          />
        ))}
        <div className="max-w-xs">
          <SelectField
            label="Options to pick one from"
            value={String(support.fewerOptions)}
            onChange={(n) => setSupport({ ...support, fewerOptions: Number(n) })}
            options={[
              { value: '0', label: 'all of them' },
              { value: '1', label: 'one wrong one less' },
              { value: '2', label: 'two wrong ones less' },
            ]}
          />
        </div>
        <div className="max-w-xs">
          <SelectField
            label="Where work has a time"
            value={String(support.extraTime)}
            onChange={(n) => setSupport({ ...support, extraTime: Number(n) })}
            options={[
              { value: '0', label: 'as long as the others' },
              { value: '25', label: 'a quarter longer' },
              { value: '50', label: 'half as long again' },
              { value: '100', label: 'twice as long' },
            ]}
          />
        </div>
        {support.fewerOptions > 0 ? (
          <p className="text-sm text-quiet">
            This changes what is asked, so the results say it. Work that is begun keeps its options.
          </p>
        ) : null}
        <FaultLine error={error} />
      </div>
    </Dialog>
  )
}
