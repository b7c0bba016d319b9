import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, take, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/toast'
import { HandsCount } from './HandsCount'

type One = Schemas['LookoutOneQuestionView']

/** What everybody sees of this question on the wall, and the two counts with a talk between them. */
export function OnTheWall({ handoutId, one }: { handoutId: string; one: One }) {
  const client = useQueryClient()
  const key = ['wall', handoutId]
  const path = { id: handoutId }
  const wall = useQuery({
    queryKey: key,
    queryFn: () => take(api.GET('/api/handouts/{id}/wall', { params: { path } })),
  })
  const act = useMutation({
    mutationFn: (work: () => Promise<Schemas['LookoutWallView']>) => work(),
    onSuccess: (next) => {
      client.setQueryData(key, next)
      return client.invalidateQueries({ queryKey: ['lookout', handoutId, one.entry] })
    },
  })
  const show = (entry: string | null, withKey: boolean) =>
    act.mutate(() => take(api.PUT('/api/handouts/{id}/wall', { params: { path }, body: { entry, key: withKey } })))
  const counting = { params: { path: { ...path, entry: one.entry } } }
  const raise = (body: Schemas['LookoutHandsView']) =>
    take(api.PUT('/api/handouts/{id}/hands/{entry}', { ...counting, body }))
  const lower = async () => {
    const before = one.hands
    const next = await take(api.DELETE('/api/handouts/{id}/hands/{entry}', counting))
    toast('The raised hands are forgotten.', before ? { undo: () => act.mutate(() => raise(before)) } : {})
    return next
  }
  const shown = wall.data?.entry === one.entry
  const picked = one.groups.some((g) => g.letter !== '')
  return (
    <section className="mt-5 border-t pt-4">
      <h2 className="text-lg">On the wall</h2>
      <p className="flex flex-wrap gap-2 pt-2">
        <Button
          size="small"
          aria-pressed={shown}
          disabled={act.isPending}
          onClick={() => show(shown ? null : one.entry, false)}
        >
          {shown ? 'Take it off the wall' : 'Show this question'}
        </Button>
        {shown && picked ? (
          <Button
            size="small"
            aria-pressed={wall.data?.keyShown}
            disabled={act.isPending}
            onClick={() => show(one.entry, !wall.data?.keyShown)}
          >
            {wall.data?.keyShown ? 'Hide the key' : 'Show the key'}
          </Button>
        ) : null}
        <Button size="small" kind="quiet" onClick={() => window.open(`/wall/${handoutId}`, 'chalk-wall')}>
          Open the wall
        </Button>
      </p>
      {picked && !one.hands ? (
        <div className="pt-3 text-[15px]">
          {one.shift ? <Moved shift={one.shift} /> : null}
          <p className="flex flex-wrap gap-2 pt-1">
            <Button
              size="small"
              disabled={act.isPending}
              onClick={() => act.mutate(() => take(api.POST('/api/handouts/{id}/counts/{entry}', counting)))}
            >
              {one.shift ? 'Count anew' : 'Count, then let them talk'}
            </Button>
            {one.shift ? (
              <Button
                size="small"
                kind="quiet"
                disabled={act.isPending}
                onClick={() => act.mutate(() => take(api.DELETE('/api/handouts/{id}/counts/{entry}', counting)))}
              >
                Forget the first count
              </Button>
            ) : null}
          </p>
        </div>
      ) : null}
      {picked ? (
        <HandsCount
          key={one.entry}
          one={one}
          busy={act.isPending}
          onRaise={(hands) => act.mutate(() => raise(hands))}
          onLower={() => act.mutate(lower)}
        />
      ) : null}
      <FaultLine error={act.error} />
    </section>
  )
}

/** What moved between the two counts, over those in both. */
function Moved({ shift }: { shift: NonNullable<One['shift']> }) {
  const n = shift.toKey + shift.fromKey + shift.keptKey + shift.keptOther
  return (
    <p>
      Since the first count <b>{shift.toKey}</b> went to the key, <b>{shift.fromKey}</b> left it, {shift.keptKey} kept
      it and {shift.keptOther} kept to something else, of {plural(n, 'student')} in both.
    </p>
  )
}
