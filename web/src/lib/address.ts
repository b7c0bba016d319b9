import { useCallback, useLayoutEffect, useRef } from 'react'
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

/**
 * Going through a list whose chosen one stands in the address. The address follows a moment later; a fast hand means the one it has
 * just gone to.
 */
export function useLeafing<T extends { id: string }>(
  list: readonly T[],
  chosen: string | undefined,
  choose: (id: string) => void,
) {
  const ahead = useRef<string | null>(null)
  useLayoutEffect(() => {
    if (ahead.current === chosen || !list.some((one) => one.id === ahead.current)) ahead.current = null
  }, [list, chosen])
  const here = () => ahead.current ?? chosen
  const goTo = (id: string) => {
    ahead.current = id
    choose(id)
  }
  return {
    here,
    goTo,
    step: (by: number) => {
      const next = further(list, here(), by)
      if (next) goTo(next.id)
    },
  }
}

/** The one so many places further in a list; the last where there is none. */
function further<T extends { id: string }>(list: readonly T[], from: string | undefined, by: number) {
  const at = list.findIndex((one) => one.id === from)
  return list[Math.max(0, Math.min(list.length - 1, at + by))]
}
