import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query'
import { ask } from './queries'
import { api, take } from '@/lib/api/client'

export const useTerms = () => useQuery(ask.terms())

type Kind = 'skills' | 'misconceptions'
type Body = { name: string; looksLike: string; nextStep: string; parent: string | null }

/** Names a new term, or an old one anew. */
export function useTerm(kind: Kind, id: string | null) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (body: Body) => take(id === null ? made(kind, body) : renamed(kind, id, body)),
    onSuccess: () => stale(client),
  })
}

/** Puts one together with another that is the same, or takes it apart again. */
export function useTogether(kind: Kind) {
  const client = useQueryClient()
  const onSuccess = () => stale(client)
  return {
    put: useMutation({
      mutationFn: ({ id, into }: { id: string; into: string }) =>
        take(api.PUT('/api/bank/{kind}/{id}/part-of', { params: { path: { kind, id } }, body: { into } })),
      onSuccess,
    }),
    apart: useMutation({
      mutationFn: (id: string) => take(api.DELETE('/api/bank/{kind}/{id}/part-of', { params: { path: { kind, id } } })),
      onSuccess,
    }),
  }
}

/** What shows names of skills and ideas, or counts by them. */
const stale = (client: QueryClient) =>
  Promise.all(['terms', 'items', 'item', 'results'].map((key) => client.invalidateQueries({ queryKey: [key] })))

const made = (kind: Kind, body: Body) =>
  kind === 'skills' ? api.POST('/api/bank/skills', { body }) : api.POST('/api/bank/misconceptions', { body })

function renamed(kind: Kind, id: string, body: Body) {
  const params = { path: { id } }
  return kind === 'skills'
    ? api.PUT('/api/bank/skills/{id}', { params, body })
    : api.PUT('/api/bank/misconceptions/{id}', { params, body })
}
