import { useMutation, useQueryClient } from '@tanstack/react-query'
import { api, take, type Schemas } from '@/lib/api/client'
import { later, moment } from '@/lib/format'
import { Button } from '@/ui/Button'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/toast'
import type { Row } from './rows'

const STEP = 10

/** When this student's time is over, and ten minutes more for them alone. */
export function MoreTime({ row, name, handout }: { row: Row; name: string; handout: Schemas['HandoutHandoutView'] }) {
  const client = useQueryClient()
  const give = useMutation({
    mutationFn: (minutes: number) =>
      take(
        api.PUT('/api/handouts/{id}/students/{student}/extra-time', {
          params: { path: { id: handout.id, student: row.studentId } },
          body: { minutes },
        }),
      ),
    onSuccess: (_, minutes) => {
      toast(
        minutes === 0 ? `${name} has no time beyond the others.` : `${name} has ${minutes} minutes beyond the others.`,
        {
          undo: () => give.mutate(row.extraMinutes),
        },
      )
      return client.invalidateQueries({ queryKey: ['lookout'] })
    },
  })
  // Of the time from the beginning and the closing time, whichever comes first.
  const closes = handout.closesAt === null ? null : later(handout.closesAt, row.extraMinutes)
  const until = [row.dueAt, closes].filter((at) => at !== null).sort()[0]
  if (until === undefined || handout.closedAt !== null) return null
  return (
    <div className="mb-1 text-[15px]">
      <p className="text-quiet">
        Has until {moment(until)}
        {row.extraMinutes > 0 ? `, ${row.extraMinutes} minutes beyond the others` : ''}
      </p>
      <p className="flex flex-wrap gap-2 pt-1">
        <Button size="small" disabled={give.isPending} onClick={() => give.mutate(row.extraMinutes + STEP)}>
          Ten more minutes
        </Button>
        {row.extraMinutes > 0 ? (
          <Button kind="quiet" size="small" disabled={give.isPending} onClick={() => give.mutate(0)}>
            No extra time
          </Button>
        ) : null}
      </p>
      <FaultLine error={give.error} />
    </div>
  )
}
