import { useKeys } from '@/lib/keys'
import { later } from './later'

const KeyList = later(() => import('./KeyList').then((it) => it.KeyList))

/** All keys that hold on this screen, on `?`. */
export function KeySheet({ open, onOpen }: { open: boolean; onOpen: (open: boolean) => void }) {
  useKeys({ '?': { label: 'Show these keys', run: () => onOpen(true) } })
  if (!open) return null
  return <KeyList onClose={() => onOpen(false)} />
}
