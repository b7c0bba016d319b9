import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'
import type { Tells } from '@/lib/conditions'

/** What is to be said of a plan before it is used; what was said of the one before, until it is. */
export function usePlanSaid(tells: Tells, editionId: string, attempts: number, closes: boolean) {
  const body = { tells, editionId: editionId || null, attempts, closes }
  return useQuery({
    queryKey: ['feedback plan read', body],
    queryFn: () => take(api.POST('/api/feedback-plans/read', { body })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  }).data
}
