import { lazy, Suspense, useState } from 'react'
import { Button } from '@/ui/Button'

const RecordDialog = lazy(() => import('./RecordDialog').then((it) => ({ default: it.RecordDialog })))

/** Opens what became of a question each time it was handed out. */
export function ToRecord({ id, title }: { id: string; title: string }) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <Button size="small" className="my-1.5" onClick={() => setOpen(true)}>
        By class and edition
      </Button>
      {open ? (
        <Suspense>
          <RecordDialog id={id} title={title} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  )
}
