import * as z from 'zod/mini'
import { askedAsTyped, useForm } from '@/lib/form'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'

export const LEAST = 10

/** One's present password, and a new one: what every form asks for that sets a password. */
export const passwords = {
  current: askedAsTyped('Type your present password.'),
  new: askedAsTyped(`Take at least ${LEAST} characters.`, LEAST),
}
const shape = z.object(passwords)

export function PasswordForm({
  send,
  done,
  act,
  note,
}: {
  send: (body: z.infer<typeof shape>) => Promise<unknown>
  done: () => void
  act: string
  note: string
}) {
  const form = useForm({
    shape,
    start: { current: '', new: '' },
    send: async (typed) => {
      await send(typed)
      form.reset()
      done()
    },
  })
  return (
    <form onSubmit={(e) => void form.submit(e)} className="mt-3 flex max-w-sm flex-col gap-3">
      <TextField
        label="Your present password"
        type="password"
        autoComplete="current-password"
        {...form.field('current')}
      />
      <TextField label="New password" type="password" autoComplete="new-password" note={note} {...form.field('new')} />
      <FaultLine error={form.problem} />
      <Button kind="do" type="submit" className="self-start" disabled={form.busy}>
        {act}
      </Button>
    </form>
  )
}
