import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { Schemas } from '@/lib/api/client'
import { useLive, type LiveState, type ToStaff } from '@/lib/live'
import { ask } from '@/lib/queries'
import { merged, type Row } from './rows'

/** The picture of a handout, as it moves. `onRow` hears of each row that has changed. */
export function useLookout(id: string, onRow?: (row: Row) => void) {
  const client = useQueryClient()
  const { queryKey: key } = useMemo(() => ask.lookout(id), [id])
  const snapshot = useQuery(ask.lookout(id))
  const live: LiveState = useLive<ToStaff>(
    `/api/handouts/${id}/live`,
    (message) => {
      if (message.kind === 'helps' || message.kind === 'pads') {
        void client.invalidateQueries({ queryKey: [message.kind, id] })
        return
      }
      if (message.kind === 'look') {
        void client.invalidateQueries({ queryKey: key })
        return
      }
      client.setQueryData<Schemas['LookoutLookoutView']>(key, (old) =>
        old ? { ...old, rows: merged(old.rows, message.row) } : old,
      )
      onRow?.(message.row)
    },
    async () => {
      void client.invalidateQueries({ queryKey: ['helps', id] })
      const { data, error } = await snapshot.refetch({ cancelRefetch: true })
      if (error) throw error
      return data?.live ?? 0
    },
  )
  return { snapshot, live, anew: () => client.invalidateQueries({ queryKey: key }) }
}
