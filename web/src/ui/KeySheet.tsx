import { setKeysOn, useActs, useKeys, useKeysOn } from '@/lib/keys'
import { Key } from './Button'
import { Dialog } from './Dialog'
import { Tick } from './Tick'

/** All keys that hold on this screen, on `?`. */
export function KeySheet({ open, onOpen }: { open: boolean; onOpen: (open: boolean) => void }) {
  const on = useKeysOn()
  const acts = useActs()
  useKeys({ '?': { label: 'Show these keys', run: () => onOpen(true) } })
  return (
    <Dialog open={open} onClose={() => onOpen(false)} title="Keys on this screen">
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
        <Tick label="Keys are on" checked={on} onChange={(on) => setKeysOn(on)} />
        <p className="text-sm text-quiet">Turned off, they come back here, by your name at the foot of the ladder.</p>
      </div>
    </Dialog>
  )
}
