import { useRef, useState } from 'react'
import * as z from 'zod/mini'
import { api, take, type Schemas } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { AreaField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { TextFile } from '@/ui/TextFile'
import { toast } from '@/ui/toast'
import { ReadLines, turnedRound } from './ReadLines'

const shape = z.object({
  text: asked('Paste some names first.'),
  names: z.record(z.string(), z.string()),
  skip: z.array(z.number()),
})

/**
 * A pasted list becomes students: first what becomes of each line, which can be put right there, then the act. Put away, the list
 * stays as it was typed.
 */
export function AddStudents({
  classId,
  open,
  onClose,
  onDone,
}: {
  classId: string
  open: boolean
  onClose: () => void
  onDone: () => void
}) {
  const path = { id: classId }
  const [preview, setPreview] = useState<Schemas['RosterRosterPreviewView'] | null>(null)
  const [fault, setFault] = useState<unknown>(null)
  const asked = useRef(0)
  // Two lines put right in a row: what was asked last is what stands.
  const look = async (body: z.infer<typeof shape>) => {
    const nth = ++asked.current
    const read = await take(api.POST('/api/classes/{id}/roster/preview', { params: { path }, body }))
    if (nth === asked.current) setPreview(read)
  }
  const form = useForm({
    shape,
    start: { text: '', names: {}, skip: [] } as z.infer<typeof shape>,
    send: async (body) => {
      if (preview === null) {
        await look(body)
        return 'again'
      }
      await take(api.POST('/api/classes/{id}/roster', { params: { path }, body }))
      toast(`${plural(preview.adds, 'student')} added. Print their slips next.`)
      setPreview(null)
      form.reset()
      onDone()
      onClose()
    },
  })
  const mend = (change: Partial<z.infer<typeof shape>>) => {
    const body = { ...form.values, ...change }
    form.set('names', body.names)
    form.set('skip', body.skip)
    setFault(null)
    void look(body).catch(setFault)
  }
  const back = () => {
    form.set('names', {})
    form.set('skip', [])
    setPreview(null)
  }
  return (
    <Dialog
      open={open}
      onClose={onClose}
      wide
      title="Add students"
      foot={
        preview ? (
          <>
            <Button onClick={back}>Back to the list</Button>
            <Button onClick={() => mend({ names: turnedRound(preview.lines) })}>Turn all names round</Button>
            <Button kind="do" disabled={preview.adds === 0 || form.busy} onClick={() => void form.submit()}>
              Add {plural(preview.adds, 'student')}
            </Button>
          </>
        ) : (
          <Button kind="do" disabled={form.busy} onClick={() => void form.submit()}>
            Look at the list
          </Button>
        )
      }
    >
      {preview ? (
        <ReadLines
          lines={preview.lines}
          names={form.values.names}
          onName={(line, name) => mend({ names: { ...form.values.names, [line]: name } })}
          onTick={(line, on) =>
            mend({ skip: on ? form.values.skip.filter((n) => n !== line) : [...form.values.skip, line] })
          }
        />
      ) : (
        <form className="flex flex-col gap-3" onSubmit={(e) => void form.submit(e)}>
          <AreaField
            label="Names, one a line, or CSV"
            rows={12}
            placeholder={
              'Ada Okafor\nBenoît Larsen\n\nor: Ada;Okafor\nor: Okafor, Ada\nor: Ada Okafor, Benoît Larsen, Cleo Marsh\nor: 1. Ada Okafor <ada@school.example>'
            }
            {...form.field('text')}
          />
          <TextFile
            label="or a CSV file"
            accept=".csv,.txt,text/csv,text/plain"
            onText={(text) => form.set('text', text)}
          />
        </form>
      )}
      <FaultLine error={form.problem ?? fault} />
    </Dialog>
  )
}
