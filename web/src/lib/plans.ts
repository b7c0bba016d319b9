import { useQuery } from '@tanstack/react-query'
import { api, take } from './api/client'
import { GIVEN_PLANS, type Tells } from './conditions'
import { isSame } from './telling'

export const PLANS_KEY = ['feedback plans']
export type Plan = { id: string; name: string; note: string; tells: Tells; own: boolean }

/** The feedback plans that there are: those that every team has, and the team's own. */
export function usePlans() {
  const kept = useQuery({ queryKey: PLANS_KEY, queryFn: () => take(api.GET('/api/feedback-plans')), staleTime: 60_000 })
  const plans: Plan[] = [
    ...GIVEN_PLANS.map((plan) => ({ ...plan, own: false })),
    ...(kept.data?.plans ?? []).map((plan) => ({ ...plan, note: '', own: true })),
  ]
  return { plans, of: (tells: Tells) => plans.find((plan) => isSame(plan.tells, tells)) }
}
