import { useQueryClient, type QueryClient } from '@tanstack/react-query'
import { useSyncExternalStore } from 'react'
import { problemOf } from '@/lib/api/client'
import { timeOfDay } from '@/lib/format'
import { useSaid } from '@/lib/say'
import { Button } from '@/ui/Button'

/** What the screen shows although it could not be fetched anew, the oldest first. */
const outOfDate = (client: QueryClient) =>
  client
    .getQueryCache()
    .getAll()
    .filter((q) => q.isActive() && q.state.status === 'error' && q.state.data !== undefined)
    .sort((a, b) => a.state.dataUpdatedAt - b.state.dataUpdatedAt)

/** A refresh that fails replaces nothing: one quiet line says how old what is shown is. */
export function Stale() {
  const client = useQueryClient()
  const state = useSyncExternalStore(
    (tell) => client.getQueryCache().subscribe(tell),
    () => outOfDate(client)[0]?.state,
  )
  const words = state
    ? `What you see is from ${timeOfDay(new Date(state.dataUpdatedAt))}: ${problemOf(state.error).message}`
    : ''
  useSaid(state ? 'The screen could not be brought up to date.' : '')
  if (!state) return null
  return (
    <p className="no-print flex items-center gap-3 border-b bg-pale px-5 py-1 text-sm">
      <span className="flex-1">{words}</span>
      <Button
        size="small"
        onClick={() => void client.refetchQueries({ type: 'active', predicate: (q) => q.state.status === 'error' })}
      >
        Fetch it anew
      </Button>
    </p>
  )
}
