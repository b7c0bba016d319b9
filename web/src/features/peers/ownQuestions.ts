import { queryOptions } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'

/** What a student's classes are asked to write, with what has come of it so far; looked at again by itself. */
export const ownQuestions = () =>
  queryOptions({
    queryKey: ['own-questions'],
    queryFn: () => take(api.GET('/api/me/invitations')),
    refetchInterval: 20_000,
  })
