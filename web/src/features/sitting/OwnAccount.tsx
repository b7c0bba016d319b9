import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import * as z from 'zod/mini'
import { api, Problem, take, type Schemas } from '@/lib/api/client'
import { asked, askedAsTyped, useForm } from '@/lib/form'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { sorry } from '@/ui/sorry'
import { Failed, FaultLine, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'
import { secretOf, SlipSecret } from './SlipSecret'
import { ToJoin } from './ToJoin'

type View = Schemas['RosterOwnAccountView']
const LEAST = 8

/** An account that a student takes for themselves, to come in without class code and PIN. */
export default function OwnAccount() {
  const own = useQuery({ queryKey: ['own account'], queryFn: () => take(api.GET('/api/me/account')) })
  if (own.isPending) return <Loading />
  if (own.error instanceof Problem && own.error.status === 401) return <ToJoin />
  if (!own.data) return <Failed error={own.error} retry={() => void own.refetch()} />
  return (
    <main className="mx-auto flex max-w-md flex-col gap-5 p-5 text-lg">
      <h1 className="text-2xl">An account of your own</h1>
      <p>
        {own.data.account === null ? (
          'With a name and a password of your own you come in anywhere, without class code and PIN. What stands on your slip goes on to work.'
        ) : (
          <>
            You come in as <b className="break-all">{own.data.account}</b>, or with what stands on your slip.
          </>
        )}
      </p>
      <AccountForm key={own.data.account} account={own.data.account} />
      {own.data.account === null ? null : <Close />}
      <Link to="/my" className="text-blue underline">
        All my work
      </Link>
    </main>
  )
}

const shape = z.object({
  account: asked('Choose a name.'),
  password: askedAsTyped(`Take at least ${LEAST} characters.`, LEAST),
  pin: asked('Give what stands on your slip.'),
})

function AccountForm({ account }: { account: View['account'] }) {
  const client = useQueryClient()
  const [byPictures, setByPictures] = useState(false)
  const form = useForm({
    shape,
    start: { account: account ?? '', password: '', pin: '' },
    send: async ({ account: name, password, pin }) => {
      const body = { account: name, password, ...secretOf(pin, byPictures) }
      const next = await take(api.PUT('/api/me/account', { body }))
      form.reset()
      client.setQueryData(['own account'], next)
      toast(account === null ? 'The account is yours.' : 'It is changed. Every other device is signed out.')
    },
  })
  return (
    <form onSubmit={(e) => void form.submit(e)} className="flex flex-col gap-4">
      <TextField
        label="Name"
        note="Letters and digits, without a blank. It need not be your own name."
        className="min-h-12 text-lg"
        maxLength={60}
        autoCapitalize="none"
        autoComplete="username"
        {...form.field('account')}
      />
      <TextField
        label={account === null ? 'Password' : 'New password'}
        type="password"
        note={`At least ${LEAST} characters.`}
        className="min-h-12 text-lg"
        maxLength={200}
        autoComplete="new-password"
        {...form.field('password')}
      />
      <SlipSecret
        field={form.field('pin')}
        value={form.values.pin}
        byPictures={byPictures}
        onPictures={(typed) => form.set('pin', typed)}
        onTurn={setByPictures}
      />
      <FaultLine error={form.problem} />
      <Button kind="do" size="large" type="submit" disabled={form.busy}>
        {account === null ? 'Take this account' : 'Change it'}
      </Button>
    </form>
  )
}

function Close() {
  const client = useQueryClient()
  const [asking, setAsking] = useState(false)
  const close = async () => {
    setAsking(false)
    await take(api.DELETE('/api/me/account'))
    client.setQueryData(['own account'], { account: null })
    toast('The account is closed. Your work stays.')
  }
  if (!asking)
    return (
      <Button className="min-h-11 self-start" onClick={() => setAsking(true)}>
        Close the account
      </Button>
    )
  return (
    <div role="group" aria-label="Close the account" className="flex flex-col gap-3 border-t pt-4">
      <p>You come in with what stands on your slip from then on. All your work stays.</p>
      <div className="flex gap-3">
        <Button autoFocus className="min-h-11" onClick={() => setAsking(false)}>
          Leave it open
        </Button>
        <Button kind="do" className="min-h-11" onClick={() => void close().catch(sorry)}>
          Close it
        </Button>
      </div>
    </div>
  )
}
