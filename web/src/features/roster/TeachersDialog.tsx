import { useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { FaultLine } from '@/ui/States'
import { Tick } from '@/ui/Tick'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

/** Whose class it is. It says where it stands in their lists; every teacher of the team can still open it. */
export function TeachersDialog({
  of,
  onClose,
  onDone,
}: {
  of: Schemas['RosterRosterView']
  onClose: () => void
  onDone: () => Promise<unknown>
}) {
  const [chosen, setChosen] = useState(of.teachers)
  const [error, setError] = useState<unknown>(null)
  const put = (teachers: string[]) =>
    take(api.PUT('/api/classes/{id}/teachers', { params: { path: { id: of.id } }, body: { teachers } })).then(onDone)
  const keep = async () => {
    try {
      await put(chosen)
    } catch (thrown) {
      return setError(thrown)
    }
    onClose()
    toast(`It is changed whose class ${of.name} is.`, { undo: () => void put(of.teachers).catch(sorry) })
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Whose class is ${of.name}?`}
      foot={
        <Button kind="do" onClick={() => void keep()}>
          Keep it
        </Button>
      }
    >
      <p className="mb-2 text-[15px] text-quiet">
        It stands first in their lists. Every teacher of the team can still open it.
      </p>
      {of.staff.map((one) => (
        <Tick
          key={one.id}
          label={one.name}
          checked={chosen.includes(one.id)}
          onChange={(on) => setChosen(on ? [...chosen, one.id] : chosen.filter((id) => id !== one.id))}
        />
      ))}
      <FaultLine error={error} />
    </Dialog>
  )
}
