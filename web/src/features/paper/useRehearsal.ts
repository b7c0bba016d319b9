import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'

/** A saved draft sat by made-up students; the same round of the same draft gives the same students. What was found last stands until then. */
export const useRehearsal = (
  paperId: string,
  version: number,
  { students, round, holders = 0, enabled }: { students: number; round: number; holders?: number; enabled: boolean },
) =>
  useQuery({
    queryKey: ['rehearsal', paperId, version, students, round, holders],
    queryFn: () =>
      take(
        api.POST('/api/papers/{id}/rehearsal', {
          params: { path: { id: paperId } },
          body: { students, seed: String(round), holders },
        }),
      ),
    enabled,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  })
