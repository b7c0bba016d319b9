import { useQueryClient, type QueryClient } from '@tanstack/react-query'
import { useSyncExternalStore } from 'react'
import { problemOf } from '@/lib/api/client'
import { timeOfDay } from '@/lib/format'
import { Button } from '@/ui/Button'

/** The moment of the oldest thing on the screen that could not be fetched anew; 0 while all is fresh. */
const oldest = (client: QueryClient) => {
  const failed = client
    .getQueryCache()
    .getAll()
    .filter((q) => q.isActive() && q.state.status === 'error' && q.state.data !== undefined)
  return failed.length === 0 ? 0 : Math.min(...failed.map((q) => q.state.dataUpdatedAt))
}

/** A refresh that fails replaces nothing: one quiet line says how old what is shown is. */
export function Stale() {
  const client = useQueryClient()
  const since = useSyncExternalStore(
    (tell) => client.getQueryCache().subscribe(tell),
    () => oldest(client),
  )
  if (since === 0) return null
  const failed = client
    .getQueryCache()
    .getAll()
    .find((q) => q.isActive() && q.state.status === 'error' && q.state.data !== undefined)
  return (
    <p role="status" className="no-print flex items-center gap-3 border-b bg-pale px-5 py-1 text-sm">
      <span className="flex-1">
        What you see is from {timeOfDay(new Date(since))}: {problemOf(failed?.state.error).message}
      </span>
      <Button
        size="small"
        onClick={() => void client.refetchQueries({ type: 'active', predicate: (q) => q.state.status === 'error' })}
      >
        Fetch it anew
      </Button>
    </p>
  )
}
