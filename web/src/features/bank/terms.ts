import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'

export const useTerms = () =>
  useQuery({ queryKey: ['terms'], queryFn: () => take(api.GET('/api/bank/terms')), staleTime: 60_000 })

export function useAddTerm(kind: 'skills' | 'misconceptions') {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (body: { name: string; looksLike: string; nextStep: string }) =>
      take(kind === 'skills' ? api.POST('/api/bank/skills', { body }) : api.POST('/api/bank/misconceptions', { body })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['terms'] }),
  })
}
