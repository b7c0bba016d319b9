import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take } from '@/lib/api/client'
import { ask } from '@/lib/queries'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { SelectField } from '@/ui/Select'
import { Failed, FaultLine, Loading } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

/** Takes a student into another class of the team's. */
export function MoveDialog({
  classId,
  student,
  onClose,
  onDone,
}: {
  classId: string
  student: { id: string; name: string }
  onClose: () => void
  onDone: () => Promise<unknown>
}) {
  const list = useQuery(ask.classes())
  const others = list.data?.classes.filter((c) => c.id !== classId) ?? []
  const [chosen, setChosen] = useState('')
  const [error, setError] = useState<unknown>(null)
  const to = others.find((c) => c.id === chosen) ?? others[0]
  const move = (from: string, into: string) =>
    take(
      api.POST('/api/classes/{id}/students/{student}/move', {
        params: { path: { id: from, student: student.id } },
        body: { to: into },
      }),
    ).then(onDone)
  const go = async (into: { id: string; name: string }) => {
    try {
      await move(classId, into.id)
    } catch (thrown) {
      return setError(thrown)
    }
    onClose()
    toast(`${student.name} is in ${into.name} now.`, { undo: () => void move(into.id, classId).catch(sorry) })
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Move ${student.name} to another class`}
      foot={
        to ? (
          <Button kind="do" onClick={() => void go(to)}>
            Move to {to.name}
          </Button>
        ) : null
      }
    >
      {list.isPending ? <Loading /> : null}
      {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
      {to ? (
        <SelectField
          label="To"
          value={to.id}
          onChange={setChosen}
          options={others.map((c) => ({ value: c.id, label: c.name }))}
        />
      ) : list.data ? (
        <p>There is no other class. Make one first.</p>
      ) : null}
      <p className="mt-3 text-[15px] text-quiet">
        Their work, marks and PIN go with them, and what they have begun stays open to them. They are handed what the
        other class has open, and sign in with its code.
      </p>
      <FaultLine error={error} />
    </Dialog>
  )
}
