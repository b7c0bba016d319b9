import { lazy, Suspense, useState } from 'react'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine, Loading } from '@/ui/States'
import type { Said } from './room'

const SpokenNote = lazy(() => import('./SpokenNote').then((it) => ({ default: it.SpokenNote })))

/** A line of words to one student or to all, or a spoken one; it reaches them where they are, and their question stays where it is. */
export function NoteForm({ label, onSend }: { label: string; onSend: (said: Said) => Promise<void> }) {
  const [words, setWords] = useState('')
  const [speaks, setSpeaks] = useState(false)
  const [busy, setBusy] = useState(false)
  const [error, setError] = useState<unknown>(null)
  const send = async (said: Said) => {
    setBusy(true)
    setError(null)
    try {
      await onSend(said)
      setWords('')
      setSpeaks(false)
    } catch (thrown) {
      setError(thrown)
    } finally {
      setBusy(false)
    }
  }
  return (
    <form
      className="flex flex-col gap-1"
      onSubmit={(e) => {
        e.preventDefault()
        if (words.trim() !== '') void send({ words: words.trim(), file: null })
      }}
    >
      {speaks ? (
        <div role="group" aria-label={`${label}, spoken`} className="flex flex-col gap-1">
          <p className="text-sm font-semibold">{label}, spoken</p>
          <Suspense fallback={<Loading what="Looking for the microphone" />}>
            <SpokenNote
              busy={busy}
              onSpoken={(file) => void send({ words: words.trim(), file })}
              onWrite={() => setSpeaks(false)}
            />
          </Suspense>
        </div>
      ) : (
        <div className="flex items-end gap-2">
          <div className="min-w-0 flex-1">
            <TextField label={label} maxLength={500} value={words} onChange={(e) => setWords(e.target.value)} />
          </div>
          <Button onClick={() => setSpeaks(true)}>Speak</Button>
          <Button type="submit" disabled={busy || words.trim() === ''}>
            Send
          </Button>
        </div>
      )}
      <FaultLine error={error} />
    </form>
  )
}
