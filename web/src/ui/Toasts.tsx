import { useSyncExternalStore } from 'react'
import { useQuiet } from '@/lib/quiet'
import { later } from './later'
import { messages } from './toast'

const ToastLines = later(() => import('./ToastLines').then((it) => it.ToastLines))

/** Where messages appear. What draws them is fetched once the page has come to rest, or with the first of them. */
export function Toasts() {
  const now = useSyncExternalStore(messages.subscribe, messages.now)
  const quiet = useQuiet()
  if (!quiet && now.length === 0) return null
  return <ToastLines toasts={now} />
}
