import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { Ladder } from '@/ui/Ladder'
import { FaultLine } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

type View = Schemas['IdentityAccountView']
type Rung = { name: string; from: string }
const LEAST = 2
const MOST = 6

/** The levels that results, the Lookout and regrouping speak of: their names, and from which share of the marks each is reached. */
export function Rungs({ view }: { view: View }) {
  const [editing, setEditing] = useState(false)
  return (
    <section aria-labelledby="rungs">
      <h2 id="rungs" className="flex items-center border-b pb-2 text-lg">
        <span className="flex-1">Rungs</span>
        {view.maySet && !editing ? (
          <Button size="small" onClick={() => setEditing(true)}>
            Change the rungs
          </Button>
        ) : null}
      </h2>
      {editing ? (
        <RungForm rungs={view.rungs} onDone={() => setEditing(false)} />
      ) : (
        <>
          <table className="mt-2 w-full max-w-sm text-[15px]">
            <caption className="sr-only">From how many marks each rung is reached</caption>
            <tbody>
              {view.rungs
                .map((rung, i) => (
                  <tr key={rung.name} className="border-b">
                    <td className="w-8 py-1">
                      <Ladder reached={i + 1} of={view.rungs.length} name={rung.name} />
                    </td>
                    <th scope="row" className="text-left font-semibold">
                      {rung.name}
                    </th>
                    <td className="text-right text-quiet tabular-nums">
                      {i === 0 ? `below ${view.rungs[1]?.from ?? 100} %` : `from ${rung.from} % of the marks`}
                    </td>
                  </tr>
                ))
                .reverse()}
            </tbody>
          </table>
          {view.maySet ? null : <p className="mt-2 text-quiet">A lead of the team can change these.</p>}
        </>
      )}
    </section>
  )
}

function RungForm({ rungs, onDone }: { rungs: View['rungs']; onDone: () => void }) {
  const client = useQueryClient()
  const [typed, setTyped] = useState<Rung[]>(rungs.map(({ name, from }) => ({ name, from: String(from) })))
  const [error, setError] = useState<unknown>(null)
  const put = async (next: { name: string; from: number }[]) =>
    client.setQueryData(['account'], await take(api.PUT('/api/account/team', { body: { rungs: next } })))
  const keep = async () => {
    const unread = typed.find((rung, i) => i > 0 && !/^\d{1,3}$/.test(rung.from.trim()))
    if (unread)
      return setError(new Error(`From how many percent does “${unread.name}” begin? Type a whole number, such as 50.`))
    try {
      await put(typed.map(({ name, from }, i) => ({ name, from: i === 0 ? 0 : Number(from) })))
    } catch (thrown) {
      return setError(thrown)
    }
    onDone()
    toast('The rungs are changed. Results and regrouping go by them from now on.', {
      undo: () => void put(rungs).catch(sorry),
    })
  }
  const change = (at: number, part: Partial<Rung>) =>
    setTyped(typed.map((rung, i) => (i === at ? { ...rung, ...part } : rung)))
  const fault = error === null ? '' : (problemOf(error).fields['rungs'] ?? '')
  return (
    <form
      className="mt-3 flex max-w-md flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault()
        void keep()
      }}
    >
      {typed
        .map((rung, i) => (
          <div key={i} className="flex items-end gap-3">
            <div className="min-w-0 flex-1">
              <TextField
                label={`Rung ${i + 1}`}
                value={rung.name}
                onChange={(e) => change(i, { name: e.target.value })}
              />
            </div>
            <div className="w-32">
              <TextField
                label="from % of the marks"
                inputMode="numeric"
                aria-label={`Rung ${i + 1}, from % of the marks`}
                disabled={i === 0}
                value={rung.from}
                onChange={(e) => change(i, { from: e.target.value })}
              />
            </div>
            <Button
              type="button"
              size="small"
              disabled={i === 0 || typed.length <= LEAST}
              aria-label={`Take out rung ${i + 1}`}
              onClick={() => setTyped(typed.filter((_, at) => at !== i))}
            >
              Take out
            </Button>
          </div>
        ))
        .reverse()}
      {fault ? (
        <p role="alert" className="text-sm font-semibold text-bad">
          ✕ {fault}
        </p>
      ) : (
        <FaultLine error={error} />
      )}
      <div className="flex flex-wrap gap-2">
        <Button
          type="button"
          disabled={typed.length >= MOST}
          onClick={() => setTyped([...typed, { name: '', from: '' }])}
        >
          One more at the top
        </Button>
        <Button type="button" onClick={onDone}>
          Leave them
        </Button>
        <Button kind="do" type="submit">
          Keep these rungs
        </Button>
      </div>
    </form>
  )
}
