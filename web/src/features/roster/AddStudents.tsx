import { useState } from 'react'
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

const FATES: Record<string, string> = {
  add: '✓ will be added',
  here: '○ in the class already',
  double: '○ double',
  fault: '✕ cannot be read',
}

const shape = z.object({ text: asked('Paste some names first.') })

/** A pasted list becomes students: first what becomes of each line, then the act. Put away, the list stays as it was typed. */
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
  const form = useForm({
    shape,
    start: { text: '' },
    send: async (body) => {
      if (preview === null) {
        setPreview(await take(api.POST('/api/classes/{id}/roster/preview', { params: { path }, body })))
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
  return (
    <Dialog
      open={open}
      onClose={onClose}
      wide
      title="Add students"
      foot={
        preview ? (
          <>
            <Button onClick={() => setPreview(null)}>Back to the list</Button>
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
        <Read lines={preview.lines} />
      ) : (
        <form className="flex flex-col gap-3" onSubmit={(e) => void form.submit(e)}>
          <AreaField
            label="Names, one a line, or CSV"
            rows={12}
            placeholder={'Ada Okafor\nBenoît Larsen\n\nor: Ada;Okafor\nor: Okafor, Ada'}
            {...form.field('text')}
          />
          <TextFile
            label="or a CSV file"
            accept=".csv,.txt,text/csv,text/plain"
            onText={(text) => form.set('text', text)}
          />
        </form>
      )}
      <FaultLine error={form.problem} />
    </Dialog>
  )
}

/** How each line was read, and what becomes of it. */
function Read({ lines }: { lines: Schemas['RosterRosterPreviewView']['lines'] }) {
  return (
    <table className="w-full text-[15px]">
      <caption className="sr-only">How each line was read</caption>
      <thead>
        <tr className="border-b text-left text-sm text-quiet">
          <th scope="col" className="py-1 font-medium">
            Line
          </th>
          <th scope="col" className="font-medium">
            Name
          </th>
          <th scope="col" className="font-medium">
            What becomes of it
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <tr key={line.line} className="border-b">
            <td className="py-1 text-quiet tabular-nums">{line.line}</td>
            <td className="font-semibold">{line.name}</td>
            <td className={line.fate === 'fault' ? 'text-bad' : line.fate === 'add' ? 'text-good' : 'text-quiet'}>
              {FATES[line.fate]} {line.note ? `· ${line.note}` : ''}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
