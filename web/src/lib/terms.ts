import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { ask } from './queries'
import { api, take } from '@/lib/api/client'

export const useTerms = () => useQuery(ask.terms())

type Kind = 'skills' | 'misconceptions'
type Body = { name: string; looksLike: string; nextStep: string }

/** Names a new term, or an old one anew. */
export function useTerm(kind: Kind, id: string | null) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (body: Body) => take(id === null ? made(kind, body) : renamed(kind, id, body)),
    onSuccess: () =>
      Promise.all(['terms', 'items', 'results'].map((key) => client.invalidateQueries({ queryKey: [key] }))),
  })
}

const made = (kind: Kind, body: Body) =>
  kind === 'skills' ? api.POST('/api/bank/skills', { body }) : api.POST('/api/bank/misconceptions', { body })

function renamed(kind: Kind, id: string, body: Body) {
  const params = { path: { id } }
  return kind === 'skills'
    ? api.PUT('/api/bank/skills/{id}', { params, body })
    : api.PUT('/api/bank/misconceptions/{id}', { params, body })
}
