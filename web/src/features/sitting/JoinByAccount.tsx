import * as z from 'zod/mini'
import { api, take } from '@/lib/api/client'
import { asked, askedAsTyped, useForm } from '@/lib/form'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'

const shape = z.object({
  account: asked('Type the name of your account.'),
  password: askedAsTyped('Type your password.'),
})

/** A name and a password that the student took for themselves. */
export function JoinByAccount({ onJoined }: { onJoined: () => void }) {
  const form = useForm({
    shape,
    start: { account: '', password: '' },
    send: async (body) => {
      await take(api.POST('/api/join/account', { body }))
      onJoined()
    },
  })
  return (
    <form onSubmit={(e) => void form.submit(e)} className="flex flex-col gap-4">
      <TextField
        label="Name of your account"
        className="min-h-12 text-lg"
        maxLength={60}
        autoCapitalize="none"
        autoComplete="username"
        autoFocus
        {...form.field('account')}
      />
      <TextField
        label="Password"
        type="password"
        className="min-h-12 text-lg"
        maxLength={200}
        autoComplete="current-password"
        {...form.field('password')}
      />
      <FaultLine error={form.refusal} />
      <Button kind="do" size="large" type="submit" disabled={form.busy}>
        Join
      </Button>
    </form>
  )
}
