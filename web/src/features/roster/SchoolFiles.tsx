import { useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { api, Problem, take, type Schemas } from '@/lib/api/client'
import { encoded } from '@/lib/files'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { FaultLine, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'
import { FiledClasses } from './FiledClasses'

type Body = Schemas['RosterSchoolFilesInput']
type Shown = Schemas['RosterSchoolFilesView']

/** What is sent at once, before it is written as text. */
const MOST_BYTES = 2_900_000

/**
 * Classes and students from the files of the school's own system: what would change is shown first, and each class can be left
 * out. What was chosen stays until it is taken or other files are chosen.
 */
export default function SchoolFiles({ open, onClose }: { open: boolean; onClose: () => void }) {
  const client = useQueryClient()
  const [body, setBody] = useState<Body>({ files: [], skip: [], keepNames: false })
  const [shown, setShown] = useState<Shown | null>(null)
  const [fault, setFault] = useState<unknown>(null)
  const [busy, setBusy] = useState(false)
  const asked = useRef(0)
  const look = async (next: Body) => {
    setBody(next)
    setFault(null)
    const nth = ++asked.current
    try {
      const read = await take(api.POST('/api/classes/from-files/preview', { body: next }))
      if (nth === asked.current) setShown(read)
    } catch (thrown) {
      if (nth === asked.current) setFault(thrown)
    }
  }
  const choose = async (list: FileList | null) => {
    const files = [...(list ?? [])]
    if (files.length === 0) return
    setShown(null)
    if (files.reduce((sum, f) => sum + f.size, 0) > MOST_BYTES) {
      setFault(new Problem(413, 'These files are larger than 2.9 MB.', 'Pack them into one .zip and choose that.'))
      return
    }
    setBusy(true)
    await look({
      files: await Promise.all(files.map(async (f) => ({ name: f.name, data: await encoded(f) }))),
      skip: [],
      keepNames: false,
    })
    setBusy(false)
  }
  const run = async () => {
    setBusy(true)
    setFault(null)
    try {
      const done = await take(api.POST('/api/classes/from-files', { body }))
      toast(said(done))
      void client.invalidateQueries({ queryKey: ['classes'] })
      void client.invalidateQueries({ queryKey: ['class'] })
      setShown(null)
      setBody({ files: [], skip: [], keepNames: false })
      onClose()
    } catch (thrown) {
      setFault(thrown)
    }
    setBusy(false)
  }
  return (
    <Dialog
      open={open}
      onClose={onClose}
      wide
      title="Classes from the school’s files"
      foot={
        shown ? (
          <>
            <Button onClick={() => setShown(null)}>Other files</Button>
            <Button
              kind="do"
              disabled={busy || shown.changes === 0 || shown.faults.length > 0}
              onClick={() => void run()}
            >
              {shown.changes === 0 ? 'Nothing changes' : `Make ${plural(shown.changes, 'change')}`}
            </Button>
          </>
        ) : undefined
      }
    >
      {shown ? (
        <FiledClasses
          shown={shown}
          keepNames={body.keepNames ?? false}
          onClass={(key, on) =>
            void look({
              ...body,
              skip: on ? (body.skip ?? []).filter((k) => k !== key) : [...(body.skip ?? []), key],
            })
          }
          onKeepNames={(keepNames) => void look({ ...body, keepNames })}
        />
      ) : (
        <div className="flex flex-col gap-3">
          <p>
            Export <b>users.csv</b>, <b>classes.csv</b> and <b>enrollments.csv</b> from your school’s system (OneRoster
            1.1, CSV) and choose them here, one by one, together or packed as .zip. Not all of them need be there, and
            taken again later they change only what has changed. You see first what becomes of them.
          </p>
          <label className="flex flex-col gap-1 text-sm font-semibold">
            The files
            <input
              type="file"
              multiple
              accept=".csv,.zip,text/csv,application/zip"
              className="field font-normal"
              disabled={busy}
              onChange={(e) => {
                void choose(e.target.files)
                // The same file, mended, is another.
                e.target.value = ''
              }}
            />
          </label>
          <p className="text-sm text-quiet">
            Of people only names are read, and teachers’ e-mail addresses to find them in the team. Nothing is erased by
            files: who leaves a class can be brought back there, with their work.
          </p>
          {busy ? <Loading what="Reading the files" /> : null}
        </div>
      )}
      <FaultLine error={fault} />
    </Dialog>
  )
}

/** What was done, in a sentence. */
function said({ classes, renames, gone }: Shown): string {
  const taken = classes.filter((c) => c.taken)
  const of = (...fates: string[]) => taken.flatMap((c) => c.students).filter((s) => fates.includes(s.fate)).length
  const parts = [
    [taken.filter((c) => !c.known).length, 'class made', 'classes made'],
    [of('add'), 'student added', 'students added'],
    [of('join', 'back'), 'known student come in', 'known students come in'],
    [of('leave') + gone.length, 'left', 'left'],
    [renames.length + taken.filter((c) => c.was !== null).length, 'name changed', 'names changed'],
  ] as const
  const told = parts.filter(([n]) => n > 0).map(([n, one, many]) => plural(n, one, many))
  return `${told.length > 0 ? told.join(', ') : 'Done'}. ${of('add') > 0 ? 'Print their slips in each class.' : ''}`.trim()
}
