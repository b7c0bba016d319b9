import { useMutation, useQueryClient } from '@tanstack/react-query'
import { api, take, type Schemas } from '@/lib/api/client'
import { toast } from '@/ui/toast'

type Settings = Schemas['IdentityTeamInput']

/** Sets one thing of the team's, says that it is so, and offers to take it back. */
export function useTeamSetting<K extends keyof Settings>(
  name: K,
  now: NonNullable<Settings[K]>,
  said: (value: NonNullable<Settings[K]>) => string,
) {
  const client = useQueryClient()
  const set = useMutation({
    mutationFn: (value: NonNullable<Settings[K]>) => take(api.PUT('/api/account/team', { body: { [name]: value } })),
    onSuccess: (next, value) => {
      client.setQueryData(['account'], next)
      const same = JSON.stringify(value) === JSON.stringify(now)
      toast(said(value), { undo: same ? undefined : () => set.mutate(now) })
    },
  })
  return set
}
