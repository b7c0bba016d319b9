import * as z from 'zod/mini'
import type { Schemas } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { Radios } from '@/ui/Radios'
import { FaultLine } from '@/ui/States'
import { folderActs } from './folderActs'

const shape = z.object({ name: asked('Give it a name.'), whose: z.enum(['team', 'own']) })

/** What a folder is called, and whose it is: a new one, or one that is there and gets another name. */
export function FolderDialog({
  folder,
  items,
  onClose,
  onMade,
}: {
  folder: Schemas['BankFolderView'] | null
  /** questions that lie in a new one from the start */
  items: readonly string[]
  onClose: () => void
  onMade: (view: Schemas['BankFoldersView'], name: string) => void
}) {
  const form = useForm<z.infer<typeof shape>>({
    shape,
    start: { name: folder?.name ?? '', whose: 'team' },
    send: async ({ name, whose }) => {
      const done = folder
        ? await folderActs.rename(folder.id, name)
        : await folderActs.make({ name, own: whose === 'own', items: [...items] })
      onMade(done, name)
      onClose()
    },
  })
  return (
    <Dialog
      open
      onClose={onClose}
      title={folder ? 'Another name' : 'New folder'}
      foot={
        <Button kind="do" type="submit" form="folder" disabled={form.busy}>
          {folder
            ? 'Rename it'
            : items.length > 0
              ? `Put ${plural(items.length, 'question')} into it`
              : 'Make the folder'}
        </Button>
      }
    >
      <form id="folder" onSubmit={(e) => void form.submit(e)} className="flex flex-col gap-3">
        <TextField label="Name" autoFocus maxLength={60} placeholder="such as: revision" {...form.field('name')} />
        {folder ? null : (
          <Radios
            label="Who sees it"
            value={form.values.whose}
            onChange={(whose) => form.set('whose', whose)}
            options={[
              { value: 'team', label: 'the team' },
              { value: 'own', label: 'nobody but me' },
            ]}
          />
        )}
        <FaultLine error={form.problem} />
      </form>
    </Dialog>
  )
}
