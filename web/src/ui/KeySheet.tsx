import { useState } from 'react'
import { keysOn, setKeysOn, useActs, useKeys } from '@/lib/keys'
import { Key } from './Button'
import { Dialog } from './Dialog'
import { Tick } from './Field'

/** All keys that hold on this screen, on `?`. */
export function KeySheet() {
  const [open, setOpen] = useState(false)
  const acts = useActs()
  useKeys({ '?': { label: 'Show these keys', run: () => setOpen(true) } })
  return (
    <Dialog open={open} onClose={() => setOpen(false)} title="Keys on this screen">
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        {acts.map(({ name, label }) => (
          <div key={name} className="contents">
            <dt className="text-right">
              <Key name={name} />
            </dt>
            <dd>{label}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-4 border-t pt-3">
        <Tick label="Keys are on" checked={keysOn()} onChange={(e) => setKeysOn(e.target.checked)} />
      </div>
    </Dialog>
  )
}
