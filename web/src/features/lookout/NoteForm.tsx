import { useState } from 'react'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'

/** A line of words to one student or to all; it reaches them where they are, and their question stays where it is. */
export function NoteForm({ label, onSend }: { label: string; onSend: (words: string) => Promise<void> }) {
  const [words, setWords] = useState('')
  const [busy, setBusy] = useState(false)
  const [error, setError] = useState<unknown>(null)
  const send = async () => {
    if (words.trim() === '') return
    setBusy(true)
    setError(null)
    try {
      await onSend(words.trim())
      setWords('')
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
        void send()
      }}
    >
      <div className="flex items-end gap-2">
        <div className="min-w-0 flex-1">
          <TextField label={label} maxLength={500} value={words} onChange={(e) => setWords(e.target.value)} />
        </div>
        <Button type="submit" disabled={busy || words.trim() === ''}>
          Send
        </Button>
      </div>
      <FaultLine error={error} />
    </form>
  )
}
