import { useMemo } from 'react'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import type { Item } from '@/answers/kinds'
import { api, take, type Schemas } from '@/lib/api/client'
import { useSettled } from '@/lib/settled'

export type Draws = { asked: Item; view: Schemas['BankDrawsView'] | undefined; error: Error | null }

/** What the variables of a question come to, as it stands in the editor. */
export function useDraws(item: Item): Draws {
  const asked = useSettled(item)
  const draws = useQuery({
    queryKey: ['draws', asked],
    queryFn: () => take(api.POST('/api/items/draws', { body: { item: asked } })),
    enabled: (asked.variables ?? []).length > 0,
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 0,
  })
  const { data: view, error } = draws
  return useMemo(() => ({ asked, view, error }), [asked, view, error])
}
