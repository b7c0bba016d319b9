import { useState, type FormEvent } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { useQueryClient } from '@tanstack/react-query'
import { api, problemOf, take, type Problem } from '@/lib/api/client'
import { sessionResumed } from '@/lib/session'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { afterJoining } from './ToJoin'

/** Class code, name and PIN, as on the slip. */
export default function Join() {
  const [params] = useSearchParams()
  const navigate = useNavigate()
  const client = useQueryClient()
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-6 p-5 text-lg">
      <h1 className="relative border-x-2 border-line px-5 py-5 text-3xl">
        <span aria-hidden className="absolute -inset-x-0.5 bottom-1 h-[7px] bg-rung" />
        Join your class
      </h1>
      <JoinForm
        code={params.get('code') ?? ''}
        onJoined={() => {
          sessionResumed()
          client.clear()
          void navigate(afterJoining(params.get('to')))
        }}
      />
    </main>
  )
}

/** What is asked for: class code, name and PIN. */
export function JoinForm({ code: known, onJoined }: { code: string; onJoined: () => void }) {
  const [code, setCode] = useState(known)
  const [name, setName] = useState('')
  const [pin, setPin] = useState('')
  const [problem, setProblem] = useState<Problem | null>(null)
  const [busy, setBusy] = useState(false)
  const submit = async (event: FormEvent) => {
    event.preventDefault()
    setBusy(true)
    setProblem(null)
    try {
      await take(api.POST('/api/join', { body: { code, name, pin } }))
      onJoined()
    } catch (thrown) {
      setProblem(problemOf(thrown))
    } finally {
      setBusy(false)
    }
  }
  const big = 'min-h-12 text-lg'
  return (
    <form onSubmit={(e) => void submit(e)} className="flex flex-col gap-4">
      <TextField
        label="Class code"
        className={`${big} font-mono uppercase`}
        value={code}
        maxLength={20}
        autoCapitalize="characters"
        autoComplete="off"
        onChange={(e) => setCode(e.target.value)}
        fault={problem?.fields.code}
        autoFocus={!known}
      />
      <TextField
        label="Your name, as on your slip"
        className={big}
        value={name}
        maxLength={120}
        autoComplete="name"
        onChange={(e) => setName(e.target.value)}
        fault={problem?.fields.name}
        autoFocus={Boolean(known)}
      />
      <TextField
        label="PIN"
        className={`${big} font-mono`}
        value={pin}
        maxLength={20}
        inputMode="numeric"
        autoComplete="off"
        onChange={(e) => setPin(e.target.value)}
        fault={problem?.fields.pin}
      />
      {problem ? <FaultLine error={problem} /> : null}
      <Button kind="do" size="large" type="submit" disabled={busy}>
        Join
      </Button>
    </form>
  )
}
