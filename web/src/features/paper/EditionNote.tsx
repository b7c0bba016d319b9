import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { later } from '@/ui/later'

const EditionsDialog = later(() => import('./EditionsDialog').then((it) => it.EditionsDialog))

/** Which edition is out, with the way to what each of them changed. */
export function EditionNote({ view, onGo }: { view: Schemas['PaperPaperView']; onGo: (id: string) => void }) {
  const [open, setOpen] = useState(false)
  if (view.edition === null) return 'Not published'
  return (
    <>
      <button className="min-h-7 underline" onClick={() => setOpen(true)}>
        Edition {view.edition}
        {view.ahead ? ', draft is ahead' : ''}
      </button>
      {open ? (
        <EditionsDialog paperId={view.id} version={view.version} onGo={onGo} onClose={() => setOpen(false)} />
      ) : null}
    </>
  )
}
