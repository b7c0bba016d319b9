import * as z from 'zod/mini'
import { api, take } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/toast'
import { LEAST, passwords } from './PasswordForm'
import { ROLES, type Role } from './roles'

const shape = z.object({
  name: asked('Type their name.'),
  email: asked('Type their address.'),
  role: z.enum(['lead', 'teacher', 'marker']),
  ...passwords,
})

/** An account for somebody else of the team, with a first password that is told them by whoever makes it. */
export function AddColleague({ onClose, onDone }: { onClose: () => void; onDone: () => Promise<unknown> }) {
  const form = useForm({
    shape,
    start: { name: '', email: '', role: 'teacher' as Role, new: '', current: '' },
    send: async (body) => {
      await take(api.POST('/api/account/colleagues', { body }))
      onClose()
      toast(`${body.name} can sign in now, with their address and the password you set.`)
      await onDone()
    },
  })
  return (
    <Dialog
      open
      onClose={onClose}
      title="Add a colleague"
      foot={
        <Button kind="do" type="submit" form="colleague" disabled={form.busy}>
          Take them in
        </Button>
      }
    >
      <form id="colleague" className="flex flex-col gap-3" onSubmit={(e) => void form.submit(e)}>
        <TextField label="Name" autoComplete="off" {...form.field('name')} autoFocus />
        <TextField label="E-mail address" type="email" autoComplete="off" {...form.field('email')} />
        <SelectField
          label="Role"
          value={form.values.role}
          onChange={(role) => form.set('role', role)}
          note={`A ${form.values.role} ${ROLES[form.values.role]}.`}
          options={(Object.keys(ROLES) as Role[]).map((role) => ({ value: role, label: role }))}
        />
        <TextField
          label="Their first password"
          type="password"
          autoComplete="new-password"
          note={`At least ${LEAST} characters. Tell it them yourself; they can change it afterwards.`}
          {...form.field('new')}
        />
        <TextField
          label="Your present password"
          type="password"
          autoComplete="current-password"
          {...form.field('current')}
        />
        <FaultLine error={form.problem} />
      </form>
    </Dialog>
  )
}
