import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useParams, useSearchParams } from 'react-router'
import { api, take } from '@/lib/api/client'
import { Failed, Loading } from '@/ui/States'
import { firstPlan, isPlanned, type Aim, type Plan } from './groups'
import { Kept } from './Kept'
import { Proposal } from './Proposal'

/** Groups from a handout's results: proposed, moved by hand, kept, and handed their next paper in one act. */
export default function GroupingDesk() {
  const { id, handout = '' } = useParams()
  const [params, setParams] = useSearchParams()
  const group = params.get('class') ?? ''
  const [aim, setAim] = useState<Aim>('misconception')
  const [plan, setPlan] = useState<Plan>(firstPlan)
  const planned = isPlanned(aim)
  const grouping = useQuery({
    queryKey: id ? ['grouping', id] : ['proposal', handout, aim, planned ? plan : null, group],
    queryFn: () =>
      take(
        id
          ? api.GET('/api/groupings/{id}', { params: { path: { id } } })
          : planned
            ? api.POST('/api/handouts/{id}/groups', {
                params: { path: { id: handout } },
                body: { ...plan, aim, class: group },
              })
            : api.GET('/api/handouts/{id}/groups', {
                params: { path: { id: handout }, query: { by: aim, ...(group ? { class: group } : {}) } },
              }),
      ),
    // While another plan is worked out, the groups before it stay on the screen.
    placeholderData: (old) => (id ? undefined : old),
    refetchOnWindowFocus: false,
    staleTime: 60_000,
  })
  if (grouping.isPending) return <Loading what="Forming groups" />
  if (grouping.isError && !planned) return <Failed error={grouping.error} retry={() => void grouping.refetch()} />
  return id && grouping.data ? (
    <Kept key={id} grouping={grouping.data} />
  ) : (
    <Proposal
      proposal={grouping.data ?? null}
      error={grouping.error}
      forming={grouping.isPlaceholderData}
      aim={aim}
      onAim={setAim}
      plan={plan}
      onPlan={setPlan}
      group={group}
      onGroup={(name) => setParams(name ? { class: name } : {}, { replace: true })}
    />
  )
}
