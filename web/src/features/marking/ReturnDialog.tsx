import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { AreaField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/Toasts'

/** Gives the work back to everyone whose marking is done. */
export function ReturnDialog({ handoutId, title, onClose }: { handoutId: string; title: string; onClose: () => void }) {
  const client = useQueryClient()
  const [message, setMessage] = useState('')
  const [error, setError] = useState<unknown>(null)
  const [busy, setBusy] = useState(false)
  const path = { id: handoutId }
  const refresh = () =>
    Promise.all(
      ['handouts', 'lookout', 'results', 'desk', 'outbox'].map((key) => client.invalidateQueries({ queryKey: [key] })),
    )
  const give = async () => {
    setBusy(true)
    setError(null)
    try {
      const done = await take(
        api.POST('/api/handouts/{id}/return', { params: { path }, body: { students: null, message } }),
      )
      await refresh()
      const waiting =
        done.waiting.length > 0
          ? ` ${plural(done.waiting.length, 'student')} still wait for a marker and got nothing.`
          : ''
      toast(
        done.returned === 0
          ? `Nothing was ready to return.${waiting}`
          : `Returned to ${plural(done.returned, 'student')}.${waiting}`,
        done.returned > 0
          ? { undo: () => void take(api.POST('/api/handouts/{id}/take-back', { params: { path } })).then(refresh) }
          : {},
      )
      onClose()
    } catch (thrown) {
      setError(thrown)
    } finally {
      setBusy(false)
    }
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Return “${title}”`}
      foot={
        <Button kind="do" disabled={busy} onClick={() => void give()}>
          Return what is marked
        </Button>
      }
    >
      <p className="mb-3">
        Students see their marks, feedback, keys and comments. Work that still waits for a marker stays here.
      </p>
      <AreaField
        label="A message to all of them"
        rows={3}
        maxLength={2000}
        value={message}
        onChange={(e) => setMessage(e.target.value)}
      />
      <FaultLine error={error} />
    </Dialog>
  )
}
