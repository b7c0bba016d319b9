import { useCallback } from 'react'
import { useSearchParams } from 'react-router'

/** Where one is on a desk, as it stands in the address: read by name, and set without a new step of the way back. */
export function useAddress() {
  const [params, setParams] = useSearchParams()
  const set = useCallback(
    (name: string, value: string) =>
      setParams(
        (old) => {
          const next = new URLSearchParams(old)
          if (value) next.set(name, value)
          else next.delete(name)
          return next
        },
        { replace: true },
      ),
    [setParams],
  )
  const clear = () => setParams({}, { replace: true })
  return { at: (name: string) => params.get(name) ?? '', set, clear }
}

/** The one so many places further in a list; the last where there is none. */
export function further<T extends { id: string }>(list: readonly T[], from: string | undefined, by: number) {
  const at = list.findIndex((one) => one.id === from)
  return list[Math.max(0, Math.min(list.length - 1, at + by))]
}
