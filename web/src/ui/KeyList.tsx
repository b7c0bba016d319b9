import { setKeysOn, useActs, useKeysOn } from '@/lib/keys'
import { Key } from './Button'
import { Dialog } from './Dialog'
import { Switch } from './Switch'

/** What each key does here, and whether keys hold at all. */
export function KeyList({ onClose }: { onClose: () => void }) {
  const on = useKeysOn()
  const acts = useActs()
  return (
    <Dialog open onClose={onClose} title="Keys on this screen">
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
        <Switch label="Keys are on" on={on} onChange={setKeysOn} />
        <p className="text-sm text-quiet">Turned off, they come back here, by your name at the foot of the ladder.</p>
      </div>
    </Dialog>
  )
}
