import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { Failed, FaultLine, Loading } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

type Mend = Schemas['MarkingMendView']

/** A later edition for those who are at it: first what that touches, then in one act, which can be undone. */
export function MendDialog({ handoutId, onClose }: { handoutId: string; onClose: () => void }) {
  const client = useQueryClient()
  const [busy, setBusy] = useState(false)
  const [error, setError] = useState<unknown>(null)
  const asked = useQuery({
    queryKey: ['mend', handoutId],
    queryFn: () => take(api.GET('/api/handouts/{id}/mend', { params: { path: { id: handoutId } } })),
    gcTime: 0,
  })
  const mend = asked.data
  const apply = async ({ to }: Mend) => {
    setBusy(true)
    setError(null)
    try {
      const done = await put(client, handoutId, to)
      onClose()
      toast(`Edition ${done.toNumber} is what they have now.`, {
        undo: () =>
          void put(client, handoutId, done.from).then(
            () => toast(`Edition ${done.fromNumber} is what they have again.`),
            sorry,
          ),
      })
    } catch (thrown) {
      setError(thrown)
    } finally {
      setBusy(false)
    }
  }
  const may = mend !== undefined && mend.refusals.length === 0 && mend.to !== mend.from
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={mend ? `Edition ${mend.toNumber} for those who sit edition ${mend.fromNumber}` : 'A later edition'}
      foot={
        may ? (
          <Button kind="do" disabled={busy} onClick={() => void apply(mend)}>
            {mend.atWork > 0 ? `Give it to ${plural(mend.atWork, 'student')} at work` : 'Put it in its place'}
          </Button>
        ) : undefined
      }
    >
      {asked.isPending ? <Loading what="Looking at what it touches" /> : null}
      {asked.isError ? <Failed error={asked.error} retry={() => void asked.refetch()} /> : null}
      <FaultLine error={error} />
      {mend ? <Touches mend={mend} /> : null}
    </Dialog>
  )
}

function Touches({ mend }: { mend: Mend }) {
  if (mend.to === mend.from) return <p>They have the latest edition already.</p>
  return (
    <div className="flex flex-col gap-4">
      {mend.refusals.length > 0 ? (
        <div className="rounded border border-wrong p-3">
          <b className="text-wrong">It cannot take its place yet</b>
          <ul className="mt-1 list-disc pl-5">
            {mend.refusals.map((why) => (
              <li key={why}>{why}</li>
            ))}
          </ul>
        </div>
      ) : null}
      <section>
        <h3>What is different</h3>
        <ul className="mt-1 list-disc pl-5">
          {mend.differences.map((d) => (
            <li key={d.says}>{d.says}</li>
          ))}
          {mend.differences.length === 0 ? <li>Nothing that a student would see.</li> : null}
        </ul>
      </section>
      <section>
        <h3>What becomes of their work</h3>
        <ul className="mt-1 list-disc pl-5">
          <li>Every answer stays with its question. New questions come where they are written.</li>
          {mend.touched > 0 ? (
            <li>
              {plural(mend.touched, 'student')} answered a question that says or asks something else by now: they are
              told at that question.
            </li>
          ) : null}
          {mend.aside > 0 ? (
            <li>
              {plural(mend.aside, 'answer')} to questions that are gone {mend.aside === 1 ? 'is' : 'are'} kept aside.
              You can read them in the student’s work, and they come back with their question.
            </li>
          ) : null}
          {mend.returned > 0 ? <li>{plural(mend.returned, 'student')} have had their work back already.</li> : null}
          <li>
            {mend.effects.length === 0
              ? 'No marks of handed-in work change.'
              : `Marks of handed-in work change for ${plural(mend.effects.length, 'student')}. What you marked by hand stays.`}
          </li>
        </ul>
        {mend.effects.length > 0 ? (
          <table className="mt-2 text-[15px]">
            <caption className="sr-only">Handed-in work whose marks change</caption>
            <thead>
              <tr className="border-b text-left text-sm text-quiet">
                <th scope="col" className="pr-6 font-medium">
                  Student
                </th>
                <th scope="col" className="pr-6 text-right font-medium">
                  Marks now
                </th>
                <th scope="col" className="text-right font-medium">
                  Afterwards
                </th>
              </tr>
            </thead>
            <tbody className="tabular-nums">
              {mend.effects.map((e, i) => (
                <tr key={i} className="border-b">
                  <td className="py-1 pr-6">{e.student}</td>
                  <td className="py-1 pr-6 text-right">{e.before}</td>
                  <td className="py-1 text-right">
                    {e.after} of {e.of}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : null}
      </section>
    </div>
  )
}

async function put(client: QueryClient, id: string, editionId: string): Promise<Mend> {
  const done = await take(api.POST('/api/handouts/{id}/mend', { params: { path: { id } }, body: { editionId } }))
  await Promise.all(
    ['lookout', 'handouts', 'marking', 'work', 'results'].map((key) => client.invalidateQueries({ queryKey: [key] })),
  )
  return done
}
