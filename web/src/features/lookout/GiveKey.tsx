import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

/** Gives the key of a question that stands on paper: its letter, or what is typed. All answers to it are marked at once. */
export function GiveKey({
  handoutId,
  entry,
  number,
  letters,
  inPlace = false,
}: {
  handoutId: string
  entry: string
  number: number
  /** by id; none where the key is typed */
  letters: Record<string, string>
  /** what was given stays here to be taken back, where a message could not be reached */
  inPlace?: boolean
}) {
  const client = useQueryClient()
  const [typed, setTyped] = useState('')
  const [error, setError] = useState<unknown>(null)
  const [busy, setBusy] = useState(false)
  const [given, setGiven] = useState<{ id: string; said: string } | null>(null)
  const anew = () =>
    Promise.all(['lookout', 'marking', 'results', 'climb'].map((key) => client.invalidateQueries({ queryKey: [key] })))
  const undo = (id: string) =>
    take(api.POST('/api/key-changes/{id}/undo', { params: { path: { id } } })).then(
      () => (setGiven(null), anew()),
      sorry,
    )
  const give = async (accept: Schemas['Response'], said: string) => {
    setBusy(true)
    setError(null)
    try {
      const path = { id: handoutId, entry }
      const { changeId, gains } = await take(
        api.POST('/api/handouts/{id}/keys/{entry}', { params: { path }, body: { accept, credit: '1' } }),
      )
      await anew()
      const right = `${plural(gains.length, 'answer')} right`
      if (inPlace && changeId) setGiven({ id: changeId, said: `${said}: ${right}` })
      else
        toast(`The key of question ${number} is ${said}: ${right}.`, {
          undo: () => void (changeId && undo(changeId)),
        })
    } catch (thrown) {
      setError(thrown)
    } finally {
      setBusy(false)
    }
  }
  const options = Object.entries(letters)
  if (given)
    return (
      <p className="flex items-center gap-3">
        <span>{given.said}</span>
        <Button kind="quiet" size="small" onClick={() => void undo(given.id)}>
          Take back<span className="sr-only"> the key of question {number}</span>
        </Button>
      </p>
    )
  return (
    <div className="flex flex-col gap-1">
      {options.length > 0 ? (
        <div role="group" aria-label={`Key of question ${number}`} className="flex flex-wrap gap-1.5">
          {options.map(([id, letter]) => (
            <Button key={id} size="small" disabled={busy} onClick={() => void give({ options: [id] }, letter)}>
              {letter}
              <span className="sr-only"> is the key of question {number}</span>
            </Button>
          ))}
        </div>
      ) : (
        <form
          className="flex items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault()
            if (typed.trim() !== '') void give({ text: typed.trim() }, typed.trim())
          }}
        >
          <div className="w-40">
            <TextField
              label={`Key of question ${number}`}
              hideLabel
              maxLength={120}
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
            />
          </div>
          <Button size="small" type="submit" disabled={busy || typed.trim() === ''}>
            Give it
          </Button>
        </form>
      )}
      <FaultLine error={error} />
    </div>
  )
}
