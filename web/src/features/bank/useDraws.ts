import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import type { Item } from '@/answers/kinds'
import { api, take } from '@/lib/api/client'

const WAIT = 350

/** A value that has stood still for a moment. */
function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), WAIT)
    return () => clearTimeout(timer)
  }, [value])
  return settled
}

/** What the variables of a question come to, as it stands in the editor. */
export function useDraws(item: Item) {
  const asked = useSettled(item)
  const draws = useQuery({
    queryKey: ['draws', asked],
    queryFn: () => take(api.POST('/api/items/draws', { body: { item: asked } })),
    enabled: (asked.variables ?? []).length > 0,
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 0,
  })
  return { asked, view: draws.data, error: draws.error }
}
