import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { Menu } from '@/ui/Menu'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'
import { AddColleague } from './AddColleague'
import { LEAST, PasswordForm } from './PasswordForm'
import { ROLES, type Role } from './roles'

type Colleague = Schemas['IdentityColleagueView']

/** Who belongs to the team. A lead takes colleagues in, says what each may do, and lets them go. */
export function Colleagues({ colleagues }: { colleagues: readonly Colleague[] }) {
  const client = useQueryClient()
  const [of, setOf] = useState<Colleague | null>(null)
  const [adding, setAdding] = useState(false)
  const anew = () => client.invalidateQueries({ queryKey: ['account'] })
  const setRole = async (one: Colleague, role: string, back = false) => {
    try {
      await take(api.PUT('/api/account/colleagues/{id}/role', { params: { path: { id: one.id } }, body: { role } }))
    } catch (thrown) {
      return sorry(thrown)
    }
    toast(`${one.name} is a ${role} now.`, back ? {} : { undo: () => void setRole(one, one.role, true) })
    await anew()
  }
  const comeBack = async (one: Colleague) => {
    try {
      await take(api.POST('/api/account/colleagues/{id}/return', { params: { path: { id: one.id } } }))
    } catch (thrown) {
      return sorry(thrown)
    }
    toast(`${one.name} is in the team again, with the password they had.`)
    await anew()
  }
  const leave = async (one: Colleague) => {
    try {
      await take(api.DELETE('/api/account/colleagues/{id}', { params: { path: { id: one.id } } }))
    } catch (thrown) {
      return sorry(thrown)
    }
    toast(`${one.name} has left the team and is signed out everywhere. What they made stays.`, {
      undo: () => void comeBack(one),
    })
    await anew()
  }
  const here = colleagues.filter((one) => one.here)
  const gone = colleagues.filter((one) => !one.here)
  return (
    <section aria-labelledby="colleagues">
      <h2 id="colleagues" className="flex items-center border-b pb-2 text-lg">
        <span className="flex-1">Colleagues</span>
        <Button size="small" onClick={() => setAdding(true)}>
          Add a colleague
        </Button>
      </h2>
      {here.length === 0 ? <p className="mt-2 text-quiet">Nobody else is in this team yet.</p> : null}
      <ul>
        {here.map((one) => (
          <li key={one.id} className="flex items-center gap-3 border-b py-2.5">
            <p className="min-w-0 flex-1">
              <span className="font-semibold">{one.name}</span>
              <span className="block text-sm text-quiet">
                {one.role} · {one.email}
              </span>
            </p>
            <Button size="small" aria-label={`New password for ${one.name}`} onClick={() => setOf(one)}>
              New password
            </Button>
            <Menu
              face="More"
              label={`More for ${one.name}`}
              size="small"
              acts={[
                ...(Object.keys(ROLES) as Role[])
                  .filter((role) => role !== one.role)
                  .map((role) => ({ id: role, label: `Make a ${role}`, run: () => void setRole(one, role) })),
                { id: 'leave', label: 'Out of the team', run: () => void leave(one) },
              ]}
            />
          </li>
        ))}
      </ul>
      {gone.length > 0 ? (
        <>
          <h3 className="mt-4 text-base">Have left</h3>
          <ul>
            {gone.map((one) => (
              <li key={one.id} className="flex items-center gap-3 border-b py-2.5 text-quiet">
                <span className="min-w-0 flex-1">
                  {one.name} · {one.email}
                </span>
                <Button size="small" aria-label={`Take ${one.name} back`} onClick={() => void comeBack(one)}>
                  Take back
                </Button>
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {of ? <ResetDialog of={of} onClose={() => setOf(null)} /> : null}
      {adding ? <AddColleague onClose={() => setAdding(false)} onDone={anew} /> : null}
    </section>
  )
}

function ResetDialog({ of, onClose }: { of: Colleague; onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} title={`New password for ${of.name}`}>
      <p>{of.name} is signed out everywhere. Tell them the new password yourself; they can change it afterwards.</p>
      <PasswordForm
        send={(body) =>
          take(api.PUT('/api/account/colleagues/{id}/password', { params: { path: { id: of.id } }, body }))
        }
        done={() => {
          toast(`${of.name} signs in with the new password from now on.`)
          onClose()
        }}
        act="Set it"
        note={`At least ${LEAST} characters.`}
      />
    </Dialog>
  )
}
