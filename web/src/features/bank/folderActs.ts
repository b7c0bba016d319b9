import { queryOptions } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'

export const FOLDERS = ['folders']
export const foldersAsked = queryOptions({
  queryKey: FOLDERS,
  queryFn: () => take(api.GET('/api/bank/folders')),
  staleTime: 60_000,
})

const path = (id: string) => ({ path: { id } })

export const folderActs = {
  make: (body: { name: string; own: boolean; items: string[] }) => take(api.POST('/api/bank/folders', { body })),
  rename: (id: string, name: string) =>
    take(api.PUT('/api/bank/folders/{id}', { params: path(id), body: { name, own: false, items: [] } })),
  drop: (id: string) => take(api.DELETE('/api/bank/folders/{id}', { params: path(id) })),
  change: (id: string, put: string[], out: string[]) =>
    take(api.PUT('/api/bank/folders/{id}/items', { params: path(id), body: { put, take: out } })),
  /** All that lies in it, put away or not, so that it can be made again as it was. */
  async itemsIn(folder: string): Promise<string[]> {
    const found: string[] = []
    for (const archived of [false, true])
      for (let total = 1, had = 0; had < total;) {
        const query = { folder, archived, from: String(had) }
        const page = await take(api.GET('/api/items', { params: { query } }))
        found.push(...page.items.map((item) => item.id))
        total = page.total
        had = page.items.length > 0 ? had + page.items.length : total
      }
    return found
  },
}
