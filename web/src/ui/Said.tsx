import { useSay } from '@/lib/say'

/**
 * The one place from which a reader of screens hears what happens: saved, moved, marked. Messages speak for themselves. It says that it
 * is live, since dialogs hide from readers whatever stands behind them and is not.
 */
export function Said() {
  return (
    <p role="status" aria-live="polite" className="sr-only">
      {useSay()}
    </p>
  )
}
