import { useQueryClient } from '@tanstack/react-query'
import { api, problemOf, take } from '@/lib/api/client'
import { toast } from '@/ui/toast'

/** Takes a handout back that nobody has begun; says so, or why not. */
export function useWithdraw() {
  const client = useQueryClient()
  return async (id: string) => {
    try {
      await take(api.DELETE('/api/handouts/{id}', { params: { path: { id } } }))
      toast('Taken back: no student has it any more.')
    } catch (thrown) {
      const problem = problemOf(thrown)
      toast(`${problem.message} ${problem.detail}`, { bad: true })
    }
    await client.invalidateQueries({ queryKey: ['handouts'] })
  }
}
