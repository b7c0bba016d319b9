import * as z from 'zod/mini'
import { api, take, type Schemas } from '@/lib/api/client'
import { asked, askedAsTyped, useForm } from '@/lib/form'
import { Button } from '@/ui/Button'
import { Door } from '@/ui/Door'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'

type Session = Schemas['IdentitySessionView']

type Account = Schemas['IdentityDemoAccountView']

const PASSWORD = 'high-water'

const shape = z.object({
  email: asked('Type your e-mail address.'),
  password: askedAsTyped('Type your password.'),
})

/** The door. */
export function SignIn({ demoAccounts, onDone }: { demoAccounts: Account[]; onDone: (session: Session) => void }) {
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
      <SignInForm title="Sign in as a teacher" demoAccounts={demoAccounts} onDone={onDone} />
    </main>
  )
}

/** Laid over the desk when a session has ended: the desk waits as it was. */
export function SignInAgain({
  name,
  demoAccounts,
  onDone,
  onSomebodyElse,
}: {
  name: string
  demoAccounts: Account[]
  onDone: (session: Session) => void
  onSomebodyElse: () => void
}) {
  return (
    <Door says={`Your desk is as you left it, ${name}, and what you had typed is still there. Sign in to go on.`}>
      <SignInForm
        title="Sign in again"
        demoAccounts={demoAccounts.filter((account) => account.name === name)}
        onDone={onDone}
      />
      <Button kind="quiet" onClick={onSomebodyElse}>
        I am somebody else
      </Button>
    </Door>
  )
}

function SignInForm({
  title,
  demoAccounts,
  onDone,
}: {
  title: string
  demoAccounts: Account[]
  onDone: (session: Session) => void
}) {
  const form = useForm({
    shape,
    start: { email: '', password: '' },
    send: async (as) => onDone(await take(api.POST('/api/session', { body: as }))),
  })
  const signInAs = (email: string) => {
    form.set('email', email)
    form.set('password', PASSWORD)
    void form.submit()
  }
  return (
    <div className="flex flex-col gap-6">
      <form
        onSubmit={(e) => void form.submit(e)}
        noValidate
        className="flex flex-col gap-4 rounded border bg-sheet p-6"
      >
        <h2 className="text-xl">{title}</h2>
        <TextField label="E-mail address" type="email" autoComplete="username" {...form.field('email')} autoFocus />
        <TextField label="Password" type="password" autoComplete="current-password" {...form.field('password')} />
        <FaultLine error={form.problem} />
        <Button kind="do" type="submit" disabled={form.busy}>
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
                  disabled={form.busy}
                  onClick={() => signInAs(account.email)}
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
  )
}
