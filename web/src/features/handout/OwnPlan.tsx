import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import * as z from 'zod/mini'
import { api, take } from '@/lib/api/client'
import type { Tells } from '@/lib/conditions'
import { asked, useForm } from '@/lib/form'
import { PLANS_KEY, usePlans, type Plan } from '@/lib/plans'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

const shape = z.object({ name: asked('Give it a name.') })

/** Keeps an arrangement as a plan of the team's, or drops one of those. Handouts that went by it stay as they are. */
export function OwnPlan({ tells }: { tells: Tells }) {
  const client = useQueryClient()
  const [naming, setNaming] = useState(false)
  const plan = usePlans().of(tells)
  const seen = (kept: unknown) => client.setQueryData(PLANS_KEY, kept)
  const keep = async (name: string, what: Tells) =>
    seen(await take(api.POST('/api/feedback-plans', { body: { name, tells: what } })))
  const drop = async ({ id, name, tells: what }: Plan) => {
    try {
      seen(await take(api.DELETE('/api/feedback-plans/{id}', { params: { path: { id } } })))
      toast(`The plan “${name}” is dropped.`, { undo: () => void keep(name, what).catch(sorry) })
    } catch (thrown) {
      sorry(thrown)
    }
  }
  if (plan?.own) {
    return (
      <Button kind="quiet" size="small" className="self-start" onClick={() => void drop(plan)}>
        Drop this plan
      </Button>
    )
  }
  if (plan) return null
  if (!naming) {
    return (
      <Button size="small" className="self-start" onClick={() => setNaming(true)}>
        Keep as a plan of the team
      </Button>
    )
  }
  return (
    <Naming
      onLeave={() => setNaming(false)}
      onKeep={async (name) => {
        await keep(name, tells)
        setNaming(false)
        toast(`Kept as “${name}”.`)
      }}
    />
  )
}

// It stands within the form of the handout, so it is no form of its own.
function Naming({ onKeep, onLeave }: { onKeep: (name: string) => Promise<void>; onLeave: () => void }) {
  const form = useForm({ shape, start: { name: '' }, send: ({ name }) => onKeep(name.trim()) })
  return (
    <div className="flex flex-col gap-2">
      <TextField
        label="Name of the plan"
        autoFocus
        maxLength={60}
        {...form.field('name')}
        onKeyDown={(e) => {
          if (e.key === 'Escape') onLeave()
          if (e.key !== 'Enter') return
          e.preventDefault()
          void form.submit()
        }}
      />
      <div className="flex gap-2">
        <Button size="small" disabled={form.busy} onClick={() => void form.submit()}>
          Keep the plan
        </Button>
        <Button kind="quiet" size="small" onClick={onLeave}>
          Leave it
        </Button>
      </div>
      <FaultLine error={form.problem} />
    </div>
  )
}
