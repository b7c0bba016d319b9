import { queryOptions } from '@tanstack/react-query'
import { api, take } from './api/client'

/**
 * What more than one screen asks the server for, each under its one name. A change makes stale what begins with the name
 * (`['paper', id]`, `['papers']`); what only one screen asks for stands with it.
 */
export const ask = {
  session: () =>
    queryOptions({ queryKey: ['session'], queryFn: () => take(api.GET('/api/session')), staleTime: 60_000 }),
  terms: () =>
    queryOptions({ queryKey: ['terms'], queryFn: () => take(api.GET('/api/bank/terms')), staleTime: 60_000 }),
  item: (id: string) =>
    queryOptions({
      queryKey: ['item', id],
      queryFn: () => take(api.GET('/api/items/{id}', { params: { path: { id } } })),
    }),
  papers: () => queryOptions({ queryKey: ['papers'], queryFn: () => take(api.GET('/api/papers')) }),
  /** The draft is the desk's own while it is open: never a copy from before. */
  paper: (id: string) =>
    queryOptions({
      queryKey: ['paper', id],
      queryFn: () => take(api.GET('/api/papers/{id}', { params: { path: { id } } })),
      gcTime: 0,
    }),
  classes: () => queryOptions({ queryKey: ['classes'], queryFn: () => take(api.GET('/api/classes')) }),
  roster: (id: string) =>
    queryOptions({
      queryKey: ['class', id],
      queryFn: () => take(api.GET('/api/classes/{id}', { params: { path: { id } } })),
    }),
  handouts: () => queryOptions({ queryKey: ['handouts'], queryFn: () => take(api.GET('/api/handouts')) }),
  /** Kept up to date by the live channel, not by asking again. */
  lookout: (id: string) =>
    queryOptions({
      queryKey: ['lookout', id],
      queryFn: () => take(api.GET('/api/handouts/{id}/lookout', { params: { path: { id } } })),
      staleTime: Infinity,
    }),
  marking: () => queryOptions({ queryKey: ['marking'], queryFn: () => take(api.GET('/api/marking')) }),
  desk: (id: string, entry: string, second: boolean) =>
    queryOptions({
      queryKey: ['desk', id, entry, second],
      queryFn: () =>
        take(
          api.GET('/api/handouts/{id}/marking/{entry}', {
            params: { path: { id, entry }, query: second ? { second: true } : {} },
          }),
        ),
    }),
  /** @param group name of the class to which they are limited, or '' */
  results: (id: string, group: string) =>
    queryOptions({
      queryKey: ['results', id, { group }],
      queryFn: () =>
        take(api.GET('/api/handouts/{id}/results', { params: { path: { id }, query: group ? { class: group } : {} } })),
    }),
  groupings: () => queryOptions({ queryKey: ['groupings'], queryFn: () => take(api.GET('/api/groupings')) }),
  grouping: (id: string) =>
    queryOptions({
      queryKey: ['grouping', id],
      queryFn: () => take(api.GET('/api/groupings/{id}', { params: { path: { id } } })),
    }),
}
