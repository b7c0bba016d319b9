import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { later } from '@/ui/later'
import type { Row } from './rows'

const PadsDialog = later(() => import('./PadsDialog').then((it) => it.PadsDialog))

/** Answer pads of a lesson, in one line: how many were heard, and what is wrong with some. */
export function Pads({ handoutId, rows, nameOf }: { handoutId: string; rows: Row[]; nameOf: (row: Row) => string }) {
  const client = useQueryClient()
  const path = { id: handoutId }
  const key = ['pads', handoutId]
  const [open, setOpen] = useState(false)
  const { data: pads } = useQuery({
    queryKey: key,
    queryFn: () => take(api.GET('/api/handouts/{id}/pads', { params: { path } })),
  })
  const act = useMutation({
    mutationFn: (does: () => Promise<NonNullable<typeof pads>>) => does(),
    onSuccess: (next) => client.setQueryData(key, next),
  })
  const listen = useMutation({
    mutationFn: () => take(api.POST('/api/handouts/{id}/pads', { params: { path } })),
    onSuccess: (next) => client.setQueryData(key, next),
  })
  if (!pads) return null
  const heard = pads.pads.filter((pad) => pad.at !== null && pad.student !== null).length
  const low = pads.pads.filter((pad) => pad.low).length
  const strays = pads.pads.filter((pad) => pad.strays > 0).length
  return (
    <section className="mt-5">
      <h2 className="text-lg">Answer pads</h2>
      {pads.pads.length > 0 ? (
        <p className="text-[15px]">
          {heard} of {pads.pads.filter((pad) => pad.student !== null).length} heard
          {low > 0 ? <b className="font-semibold"> · {plural(low, 'battery', 'batteries')} low</b> : null}
          {strays > 0 ? <b className="font-semibold text-blue"> · {plural(strays, 'pad')} that nobody has</b> : null}
        </p>
      ) : null}
      <Button size="small" className="mt-1" onClick={() => setOpen(true)}>
        {pads.pads.length > 0 ? 'Pads …' : 'Use answer pads …'}
      </Button>
      {open ? (
        <PadsDialog
          handoutId={handoutId}
          pads={pads}
          keyNow={(pads.open && listen.data?.key) || null}
          rows={rows}
          nameOf={nameOf}
          error={act.error ?? listen.error}
          onOpen={() => listen.mutate()}
          onShut={() => {
            listen.reset()
            act.mutate(() => take(api.DELETE('/api/handouts/{id}/pads', { params: { path } })))
          }}
          onGive={(pad, student) =>
            act.mutate(() =>
              take(api.PUT('/api/handouts/{id}/pads/{pad}', { params: { path: { ...path, pad } }, body: { student } })),
            )
          }
          onClose={() => setOpen(false)}
        />
      ) : null}
    </section>
  )
}
