import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { moment } from '@/lib/format'
import { Rich } from '@/lib/Rich'
import { Button } from '@/ui/Button'
import { takeKeyBack } from './keyChanges'

type Props = { changes: Schemas['MarkingKeyChangeLineView'][]; mayChangeKey: boolean }

/** What became of the key since the paper was published, and the way back. */
export function KeyHistory({ changes, mayChangeKey }: Props) {
  const client = useQueryClient()
  const [busy, setBusy] = useState(false)
  const back = async (id: string) => {
    setBusy(true)
    try {
      await takeKeyBack(client, id)
    } finally {
      setBusy(false)
    }
  }
  return (
    <section aria-labelledby="key-history">
      <h2 id="key-history" className="text-lg">
        The key has changed
      </h2>
      <ul className="mt-1 border-t text-[15px]">
        {changes.map((c) => (
          <li key={c.id} className="border-b py-2">
            {c.before === c.after ? (
              <p>{c.accepted ? `accepted: ${c.accepted}` : 'the rule changed, the key stayed'}</p>
            ) : (
              <div className="flex flex-wrap items-baseline gap-x-2">
                <Rich html={c.before} className="inline-block text-quiet [&_p]:inline" />
                <span aria-hidden>→</span>
                <span className="sr-only">became</span>
                <Rich html={c.after} className="inline-block font-bold [&_p]:inline" />
              </div>
            )}
            <p className="text-sm text-quiet">
              {moment(c.at)} by {c.by} · {c.gains} gained, {c.loses} lost
              {c.reason ? ` · “${c.reason}”` : ''}
            </p>
            {c.undoneAt ? (
              <p className="text-sm text-quiet">
                taken back {moment(c.undoneAt)} by {c.undoneBy}
              </p>
            ) : c.undoable && mayChangeKey ? (
              <Button size="small" className="mt-1" disabled={busy} onClick={() => void back(c.id)}>
                Take this change back
              </Button>
            ) : null}
          </li>
        ))}
      </ul>
    </section>
  )
}
