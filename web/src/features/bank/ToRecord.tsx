import { lazy, Suspense, useState } from 'react'
import { Button } from '@/ui/Button'

const AskTheRoom = lazy(() => import('./AskTheRoom').then((it) => ({ default: it.AskTheRoom })))
const RecordDialog = lazy(() => import('./RecordDialog').then((it) => ({ default: it.RecordDialog })))

/** Opens what became of a question each time it was handed out, and asks it in class. */
export function ToRecord({ id, title }: { id: string; title: string }) {
  const [open, setOpen] = useState(false)
  const [asking, setAsking] = useState(false)
  return (
    <>
      <span className="my-1.5 flex flex-wrap gap-2">
        <Button size="small" onClick={() => setOpen(true)}>
          By class and edition
        </Button>
        <Button size="small" onClick={() => setAsking(true)}>
          Ask the room
        </Button>
      </span>
      {asking ? (
        <Suspense>
          <AskTheRoom id={id} title={title} onClose={() => setAsking(false)} />
        </Suspense>
      ) : null}
      {open ? (
        <Suspense>
          <RecordDialog id={id} title={title} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  )
}
