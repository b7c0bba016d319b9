import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useNavigate } from 'react-router'
import * as z from 'zod/mini'
import { api, take, type Schemas } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { Button } from '@/ui/Button'
import { Combobox } from '@/ui/Combobox'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { copied, sourcesOf, type Source } from './copied'

const KEEP = 'keep'
const EMPTY: Source = { title: '', html: '', picture: null, alt: '' }
const BLANK = 'blank'

const shape = z.object({ title: asked('Give it a name.'), sources: z.record(z.string(), z.string()) })

/** A paper again under another name, each of its sources as it is, to be written anew, or one of another paper’s in its place. */
export function CopyDialog({ stored, onClose }: { stored: Schemas['PaperPaperView']; onClose: () => void }) {
  const client = useQueryClient()
  const navigate = useNavigate()
  const all = useQuery({ queryKey: ['papers', 'sources'], queryFn: () => take(api.GET('/api/sources')) })
  const own = sourcesOf(stored.paper)
  const form = useForm({
    shape,
    start: { title: `${stored.paper.title} (copy)`.slice(0, 120), sources: {} },
    send: async ({ title, sources }) => {
      const swapped = new Map<string, Source>()
      for (const [entry, from] of Object.entries(sources))
        if (from === BLANK) swapped.set(entry, EMPTY)
        else if (from !== KEEP) swapped.set(entry, await fetched(from))
      const body = { paper: copied(stored.paper, title, swapped), version: 0 }
      const made = await take(api.POST('/api/papers', { body }))
      void client.invalidateQueries({ queryKey: ['papers'] })
      void navigate(`/papers/${made.id}`)
    },
  })
  const others = (all.data?.sources ?? []).filter((s) => s.paperId !== stored.id)
  return (
    <Dialog
      open
      onClose={onClose}
      title="The same again, as a paper of its own"
      foot={
        <Button kind="do" type="submit" form="copy-paper" disabled={form.busy}>
          Make the copy
        </Button>
      }
    >
      <form id="copy-paper" onSubmit={(e) => void form.submit(e)} className="flex flex-col gap-4">
        <TextField label="Title" {...form.field('title')} autoFocus />
        {own.map(({ id, source }, i) => (
          <Combobox
            key={id}
            label={`Instead of “${source.title || `source ${i + 1}`}”`}
            value={form.values.sources[id] ?? KEEP}
            onChange={(from) => form.set('sources', { ...form.values.sources, [id]: from })}
            find="words of a source or its paper"
            options={[
              { value: KEEP, label: 'the same' },
              { value: BLANK, label: 'nothing yet: it will be written' },
              ...others.map((s) => ({
                value: `${s.paperId} ${s.entryId}`,
                label: s.title || s.begins,
                aside: s.paper,
              })),
            ]}
          />
        ))}
        <p className="text-[15px] text-quiet">
          Its questions are the same ones of the bank; what was handed out stays.
        </p>
        <FaultLine error={form.problem ?? all.error} />
      </form>
    </Dialog>
  )
}

/** A source of another paper as it stands there now. */
async function fetched(from: string): Promise<Source> {
  const [paperId = '', entryId = ''] = from.split(' ')
  const { paper } = await take(api.GET('/api/papers/{id}', { params: { path: { id: paperId } } }))
  return sourcesOf(paper).find((one) => one.id === entryId)?.source ?? EMPTY
}
