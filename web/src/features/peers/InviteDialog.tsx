import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import * as z from 'zod/mini'
import { api, take, type Schemas } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { ask } from '@/lib/queries'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { Failed, FaultLine, Loading } from '@/ui/States'

const shape = z.object({ classId: asked('Choose a class.'), topic: asked('Say what the questions are to be about.') })

/** Asks a class to write questions on a topic. */
export function InviteDialog({
  onClose,
  onAsked,
}: {
  onClose: () => void
  onAsked: (view: Schemas['PeersInvitationListView'], id: string) => void
}) {
  const classes = useQuery(ask.classes())
  return (
    <Dialog open onClose={onClose} title="Ask a class for questions">
      {classes.isPending ? <Loading what="Looking up the classes" /> : null}
      {classes.isError ? <Failed error={classes.error} retry={() => void classes.refetch()} /> : null}
      {classes.data?.classes.length === 0 ? <p>There is no class yet. Make one under Classes first.</p> : null}
      {classes.data && classes.data.classes.length > 0 ? (
        <Invite classes={classes.data.classes} onClose={onClose} onAsked={onAsked} />
      ) : null}
    </Dialog>
  )
}

function Invite({
  classes,
  onClose,
  onAsked,
}: {
  classes: readonly Schemas['RosterClassRowView'][]
  onClose: () => void
  onAsked: (view: Schemas['PeersInvitationListView'], id: string) => void
}) {
  // One that was sent and not answered is the same one when it is sent again.
  const [id] = useState(() => crypto.randomUUID())
  const form = useForm<z.infer<typeof shape>>({
    shape,
    start: { classId: classes[0]?.id ?? '', topic: '' },
    send: async (typed) => {
      onAsked(await take(api.POST('/api/invitations', { body: { id, ...typed } })), id)
      onClose()
    },
  })
  const name = classes.find((c) => c.id === form.values.classId)?.name ?? 'the class'
  return (
    <form onSubmit={(e) => void form.submit(e)} className="flex flex-col gap-4">
      <SelectField
        label="Class"
        value={form.values.classId}
        onChange={(classId) => form.set('classId', classId)}
        options={classes.map((c) => ({ value: c.id, label: c.name }))}
      />
      <TextField
        label="What are the questions to be about?"
        autoFocus
        maxLength={120}
        placeholder="such as: bearings, and how one goes wrong with them"
        {...form.field('topic')}
      />
      <p className="text-quiet">
        Students find it in their work. Each writes a question with its options, says which is right, and why somebody
        would take each of the others. You alone see what they write, until you show it to the class.
      </p>
      <FaultLine error={form.problem} />
      <Button kind="do" type="submit" className="self-end" disabled={form.busy}>
        Ask {name}
      </Button>
    </form>
  )
}
