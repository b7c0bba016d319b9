import { useState, type FormEvent } from 'react'
import { api, problemOf, take, type Problem, type Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'

type Session = Schemas['IdentitySessionView']

export function SignIn({
  demoAccounts,
  onDone,
}: {
  demoAccounts: Schemas['IdentityDemoAccountView'][]
  onDone: (session: Session) => void
}) {
  const [email, setEmail] = useState('')
  const [password, setPassword] = useState('')
  const [problem, setProblem] = useState<Problem | null>(null)
  const [busy, setBusy] = useState(false)
  const signIn = async (as: { email: string; password: string }) => {
    setBusy(true)
    setProblem(null)
    try {
      onDone(await take(api.POST('/api/session', { body: as })))
    } catch (thrown) {
      setProblem(problemOf(thrown))
    } finally {
      setBusy(false)
    }
  }
  const submit = (event: FormEvent) => {
    event.preventDefault()
    void signIn({ email, password })
  }
  return (
    <main className="mx-auto grid min-h-dvh max-w-4xl content-center gap-10 p-6 md:grid-cols-[1fr_1fr]">
      <div className="relative self-center border-x-2 border-line px-10 py-12">
        <span aria-hidden className="absolute inset-x-0 top-6 h-[3px] bg-line" />
        <h1 className="text-4xl">Chalk Ladder</h1>
        <p className="mt-3 text-lg">
          Quizzes and worksheets for a teacher team: written, run, marked, read, and turned into the next groups.
        </p>
        <p className="mt-6">
          <a className="font-semibold text-blue underline" href="/join">
            Students join here
          </a>
        </p>
        <span aria-hidden className="absolute -inset-x-0.5 bottom-6 h-[7px] bg-rung" />
      </div>
      <div className="flex flex-col gap-6">
        <form onSubmit={submit} className="flex flex-col gap-4 rounded border bg-sheet p-6">
          <h2 className="text-xl">Sign in as a teacher</h2>
          <TextField
            label="E-mail address"
            type="email"
            autoComplete="username"
            value={email}
            onChange={(e) => setEmail(e.target.value)}
            fault={problem?.fields.email}
            autoFocus
          />
          <TextField
            label="Password"
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(e) => setPassword(e.target.value)}
            fault={problem?.fields.password}
          />
          {problem && Object.keys(problem.fields).length === 0 ? <FaultLine error={problem} /> : null}
          <Button kind="do" type="submit" disabled={busy}>
            Sign in
          </Button>
        </form>
        {demoAccounts.length > 0 ? (
          <section aria-label="Demo accounts" className="rounded border border-dashed border-edge p-4">
            <h2 className="font-sans text-sm font-semibold tracking-normal">Demo data is loaded. Go in as:</h2>
            <ul className="mt-2 flex flex-col">
              {demoAccounts.map((account) => (
                <li key={account.email}>
                  <button
                    className="flex w-full items-baseline gap-2 rounded px-2 py-1 text-left hover:bg-rust-pale"
                    disabled={busy}
                    onClick={() => void signIn({ email: account.email, password: 'high-water' })}
                  >
                    <span className="font-semibold">{account.name}</span>
                    <span className="text-sm text-quiet">
                      {account.role} · {account.team}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </section>
        ) : null}
      </div>
    </main>
  )
}
