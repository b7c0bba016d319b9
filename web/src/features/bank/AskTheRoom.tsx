import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import * as z from 'zod/mini'
import { api, take } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { plural } from '@/lib/format'
import { ask } from '@/lib/queries'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { SelectField } from '@/ui/Select'
import { FaultLine } from '@/ui/States'

const shape = z.object({ classId: asked('Choose a class.') })

/** Asks one question of the bank in class: on devices, on the wall, or with raised hands. */
export function AskTheRoom({ id, title, onClose }: { id: string; title: string; onClose: () => void }) {
  const navigate = useNavigate()
  const client = useQueryClient()
  const classes = useQuery(ask.classes())
  const [requestId] = useState(() => crypto.randomUUID())
  const form = useForm({
    shape,
    start: { classId: '' },
    send: async ({ classId }) => {
      const room = await take(api.POST('/api/room-questions', { body: { itemId: id, classId, requestId } }))
      void client.invalidateQueries({ queryKey: ['handouts'] })
      void navigate(`/lookout/${room.handoutId}/${room.entry}`)
    },
  })
  return (
    <Dialog open onClose={onClose} title={`Ask “${title}” in class`}>
      <form className="flex flex-col gap-4" onSubmit={(e) => void form.submit(e)}>
        <p className="text-[15px] text-quiet">
          The class finds it under its work at once, and it stands on the wall. Count, let them talk, count again; what
          moved is kept with the question.
        </p>
        <SelectField
          label="Class"
          value={form.values.classId}
          onChange={(classId) => form.set('classId', classId)}
          fault={form.fault('classId')}
          options={[
            { value: '', label: 'Choose a class' },
            ...(classes.data?.classes ?? []).map((c) => ({
              value: c.id,
              label: `${c.name}, ${plural(c.students, 'student')}`,
            })),
          ]}
        />
        <FaultLine error={form.problem} />
        <Button kind="do" type="submit" disabled={form.busy} className="self-start">
          Ask the room
        </Button>
      </form>
    </Dialog>
  )
}
