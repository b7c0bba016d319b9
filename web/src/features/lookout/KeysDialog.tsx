import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Dialog } from '@/ui/Dialog'
import { GiveKey } from './GiveKey'

/** All keys of a sheet that are still to be given. */
export function KeysDialog({
  handoutId,
  columns,
  onClose,
}: {
  handoutId: string
  columns: Schemas['LookoutColumnView'][]
  onClose: () => void
}) {
  // Those that get their key here stay, to be taken back.
  const [listed] = useState(columns)
  return (
    <Dialog open onClose={onClose} title="Give the key">
      <ol>
        {listed.map((column) => (
          <li key={column.entry} className="flex items-start gap-4 border-b py-2">
            <b className="w-8 pt-0.5 text-right tabular-nums">{column.number}</b>
            <GiveKey
              handoutId={handoutId}
              entry={column.entry}
              number={column.number}
              letters={column.keyless ?? {}}
              inPlace
            />
          </li>
        ))}
      </ol>
      <p className="mt-3 text-[15px] text-quiet">
        The answers are marked as soon as a key is given. Another answer that is right too is accepted on the marking
        desk.
      </p>
    </Dialog>
  )
}
