import type { QueryClient } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'
import { toast } from '@/ui/toast'

/** Lays out anew whatever a changed key alters. */
export const refreshKeys = (client: QueryClient) =>
  Promise.all(
    ['desk', 'results', 'item', 'items', 'work', 'trail'].map((key) => client.invalidateQueries({ queryKey: [key] })),
  )

/** Takes a change of a key back, and says so. A refusal is told by the net under every act. */
export async function takeKeyBack(client: QueryClient, id: string) {
  const done = await take(api.POST('/api/key-changes/{id}/undo', { params: { path: { id } } }))
  toast(`The old key holds again, and the old marks: ${done.gains.length} gain, ${done.loses.length} lose.`)
  await refreshKeys(client)
}
