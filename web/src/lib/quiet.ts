import { useEffect, useState } from 'react'

// What is wanted first comes first.
const AFTER = 1000

/**
 * Whether the page has come to rest: then what is likely to be wanted next is fetched, so that it is here before the network
 * goes. A browser that knows no idle moments has come to rest at once.
 */
export function useQuiet(): boolean {
  const knows = typeof requestIdleCallback === 'function'
  const [quiet, setQuiet] = useState(!knows)
  useEffect(() => {
    if (!knows) return
    let idle: number | undefined
    const timer = setTimeout(() => {
      idle = requestIdleCallback(() => setQuiet(true), { timeout: 2000 })
    }, AFTER)
    return () => {
      clearTimeout(timer)
      if (idle !== undefined) cancelIdleCallback(idle)
    }
  }, [knows])
  return quiet
}
