import { api, take } from '@/lib/api/client'

/** Asks for the teacher at a question, or lets it be where nothing is asked. */
export function call(sitting: string, entry: string, asked: { kind: 'stuck' | 'look'; words: string } | null) {
  const path = { params: { path: { id: sitting } } }
  return take(
    asked
      ? api.PUT('/api/me/sittings/{id}/call', { ...path, body: { id: crypto.randomUUID(), entry, ...asked } })
      : api.DELETE('/api/me/sittings/{id}/call', path),
  )
}
