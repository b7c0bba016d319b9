import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import * as z from 'zod/mini'
import { api, take, type Schemas } from '@/lib/api/client'
import { useForm } from '@/lib/form'
import { moment, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { AreaField } from '@/ui/Field'
import { Tick } from '@/ui/Tick'
import { Failed, FaultLine, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'

type Line = Schemas['MarkingReturnLineView']
/** `left`: whom it is kept from for now. */
const shape = z.object({
  message: z.string().check(z.maxLength(2000, 'At most 2000 characters.')),
  left: z.array(z.string()),
})

const backAlready = (s: Line) => s.returned > 0 && !s.replied

/** Gives marked work back, to all or some, and takes it back again. */
export function ReturnDialog({ handoutId, title, onClose }: { handoutId: string; title: string; onClose: () => void }) {
  const client = useQueryClient()
  const [error, setError] = useState<unknown>(null)
  const [busy, setBusy] = useState(false)
  const path = { id: handoutId }
  const state = useQuery({
    queryKey: ['return', handoutId],
    queryFn: () => take(api.GET('/api/handouts/{id}/return', { params: { path } })),
    staleTime: 0,
  })
  const students = state.data?.students ?? []
  const ready = students.filter((s) => s.ready > 0)
  const returned = students.filter((s) => s.returned > 0)
  const working = students.filter((s) => s.open > 0).length
  const refresh = () =>
    Promise.all(
      ['handouts', 'lookout', 'results', 'desk', 'marking', 'outbox', 'return', 'trail'].map((key) =>
        client.invalidateQueries({ queryKey: [key] }),
      ),
    )
  const act = async (work: () => Promise<void>) => {
    setBusy(true)
    setError(null)
    try {
      await work()
    } catch (thrown) {
      setError(thrown)
    } finally {
      setBusy(false)
    }
  }
  const takeBack = async (ids: string[]) => {
    const done = await take(api.POST('/api/handouts/{id}/take-back', { params: { path }, body: { students: ids } }))
    toast(`Taken back from ${plural(done.students.length, 'student')}.`)
    await refresh()
  }
  const form = useForm({
    shape,
    start: { message: '', left: [] } as z.infer<typeof shape>,
    send: async ({ message }) => {
      const done = await take(
        api.POST('/api/handouts/{id}/return', {
          params: { path },
          body: { students: picked.map((s) => s.studentId), message },
        }),
      )
      onClose()
      toast(`Returned to ${plural(done.students.length, 'student')}.`, { undo: () => void takeBack(done.students) })
      await refresh()
    },
  })
  const { left } = form.values
  const picked = ready.filter((s) => !left.includes(s.studentId))
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Return “${title}”`}
      foot={
        <Button kind="do" disabled={busy || form.busy || picked.length === 0} onClick={() => void form.submit()}>
          {picked.length === 0 ? 'Nothing to return' : `Return to ${plural(picked.length, 'student')}`}
        </Button>
      }
    >
      <p className="mb-3">Students see their marks, feedback, keys and comments.</p>
      {state.isPending ? <Loading what="Counting what is marked" /> : null}
      {state.isError ? <Failed error={state.error} retry={() => void state.refetch()} /> : null}
      {state.data && students.length === 0 ? <p className="text-quiet">Nobody has begun this work yet.</p> : null}
      {working > 0 && ready.length > 0 ? (
        <p role="note" className="mb-3 border-l-4 border-l-rust bg-pale px-3 py-2 font-semibold">
          {plural(working, 'student')} {working === 1 ? 'is' : 'are'} still at work: what you return now tells them the
          keys.{' '}
          <Link className="text-blue underline" to={`/lookout/${handoutId}`}>
            To the Lookout
          </Link>
        </p>
      ) : null}
      {ready.length > 0 ? (
        <AreaField label="A message to all of them" rows={3} maxLength={2000} {...form.field('message')} />
      ) : null}
      <FaultLine error={error ?? form.problem} />
      {students.length > 0 ? (
        <table className="mt-3 w-full text-[15px]">
          <caption className="sr-only">Who gets their work back</caption>
          <thead>
            <tr className="border-b text-left text-sm text-quiet">
              <th scope="col" className="font-medium">
                {ready.length > 1 ? (
                  <Tick
                    label={`All ${ready.length} that are marked`}
                    checked={picked.length === ready.length || (picked.length > 0 && 'some')}
                    onChange={(on) => form.set('left', on ? [] : ready.map((s) => s.studentId))}
                  />
                ) : (
                  'Student'
                )}
              </th>
              <th scope="col" className="text-right font-medium">
                {returned.filter(backAlready).length > 1 ? (
                  <Button
                    kind="quiet"
                    size="small"
                    disabled={busy}
                    onClick={() => void act(() => takeBack(returned.filter(backAlready).map((s) => s.studentId)))}
                  >
                    Take back from all {returned.filter(backAlready).length}
                  </Button>
                ) : null}
              </th>
            </tr>
          </thead>
          <tbody>
            {students.map((s) => (
              <tr key={s.studentId} className="border-b align-baseline">
                <td className="py-1 pr-3">
                  {s.ready > 0 ? (
                    <Tick
                      label={s.name}
                      checked={!left.includes(s.studentId)}
                      onChange={(on) =>
                        form.set('left', on ? left.filter((id) => id !== s.studentId) : [...left, s.studentId])
                      }
                    />
                  ) : (
                    <span className="pl-6">{s.name}</span>
                  )}
                </td>
                <td className="py-1 text-right text-sm text-quiet">
                  {said(s)}
                  {backAlready(s) ? (
                    <Button
                      kind="quiet"
                      size="small"
                      disabled={busy}
                      aria-label={`Take back from ${s.name}`}
                      onClick={() => void act(() => takeBack([s.studentId]))}
                    >
                      Take back
                    </Button>
                  ) : null}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
    </Dialog>
  )
}

/** Whose turn it is with this work, in words. */
function said(s: Line): string {
  return [
    s.ready > 1 ? `${s.ready} attempts marked` : '',
    s.waiting > 0 ? `${plural(s.waiting, 'answer')} ${s.waiting === 1 ? 'waits' : 'wait'} for a marker` : '',
    s.open > 0 ? 'still at work' : '',
    s.returned > 0 ? `returned ${s.returnedAt ? moment(s.returnedAt) : ''}${s.replied ? ', has replied' : ''}` : '',
  ]
    .filter(Boolean)
    .join(' · ')
}
