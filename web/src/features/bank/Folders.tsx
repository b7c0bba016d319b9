import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { type Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Facet } from '@/ui/Facet'
import { later } from '@/ui/later'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'
import { FOLDERS, folderActs, foldersAsked } from './folderActs'

const FolderDialog = later(() => import('./FolderDialog').then((it) => it.FolderDialog))

/** The bank by folders, the team's and one's own; the one that is looked into can be named anew and dropped. */
export function Folders({
  value,
  counts,
  onChange,
}: {
  value: string
  /** of what is found, by folder */
  counts: Record<string, number>
  onChange: (id: string) => void
}) {
  const client = useQueryClient()
  const [asked, setAsked] = useState<'new' | 'name' | null>(null)
  const folders = useQuery(foldersAsked).data?.folders ?? []
  const open = folders.find((one) => one.id === value)
  const seen = (view: Schemas['BankFoldersView']) => {
    client.setQueryData(FOLDERS, view)
    void client.invalidateQueries({ queryKey: ['items'] })
  }
  const drop = async ({ id, name, own }: Schemas['BankFolderView']) => {
    try {
      const items = await folderActs.itemsIn(id)
      seen(await folderActs.drop(id))
      onChange('')
      toast(`“${name}” is gone. Its questions are in the bank as before.`, {
        undo: () => void folderActs.make({ name, own, items }).then(seen),
      })
    } catch (error) {
      sorry(error)
    }
  }
  return (
    <div className="flex flex-col">
      {folders.length > 0 ? (
        <Facet
          label="Folder"
          any="in any, or in none"
          value={value}
          onChange={onChange}
          options={folders.map((one) => ({
            value: one.id,
            label: one.own ? `${one.name} (own)` : one.name,
            n: counts[one.id] ?? 0,
          }))}
          asListed
        />
      ) : null}
      <div className="flex flex-wrap">
        <Button kind="quiet" size="small" onClick={() => setAsked('new')}>
          New folder …
        </Button>
        {open ? (
          <>
            <Button kind="quiet" size="small" onClick={() => setAsked('name')}>
              Rename …
            </Button>
            <Button kind="quiet" size="small" onClick={() => void drop(open)}>
              Drop it
            </Button>
          </>
        ) : null}
      </div>
      {asked ? (
        <FolderDialog
          folder={asked === 'name' ? (open ?? null) : null}
          items={[]}
          onClose={() => setAsked(null)}
          onMade={seen}
        />
      ) : null}
    </div>
  )
}
