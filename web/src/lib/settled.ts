import { useEffect, useState } from 'react'

const WAIT = 350

/** A value that has stood still for a moment. */
export function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), WAIT)
    return () => clearTimeout(timer)
  }, [value])
  return settled
}
