import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { later } from '@/ui/later'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'
import type { Team } from './ClimbDialog'
import type { Row } from './rows'

const ClimbDialog = later(() => import('./ClimbDialog').then((it) => it.ClimbDialog))
const EVERY = 3000

/** Rungs as they are said: one decimal where a team stands between two. */
export const rungsInWords = (rungs: number) => {
  const said = Math.round(rungs * 10) / 10
  return `${said} ${said === 1 ? 'rung' : 'rungs'}`
}

/** Teams that climb, as their teacher sets them up, watches and stops them. */
export function Climb({ handoutId, rows, nameOf }: { handoutId: string; rows: Row[]; nameOf: (row: Row) => string }) {
  const client = useQueryClient()
  const key = ['climb', handoutId]
  const path = { params: { path: { id: handoutId } } }
  const [setting, setSetting] = useState(false)
  const { data: climb } = useQuery({
    queryKey: key,
    queryFn: () => take(api.GET('/api/handouts/{id}/climb', path)),
    refetchInterval: ({ state }) => (state.data?.state === 'on' ? EVERY : false),
  })
  const begin = async (teams: Team[]) => {
    client.setQueryData(key, await take(api.PUT('/api/handouts/{id}/climb', { ...path, body: { teams } })))
  }
  if (!climb) return null
  const teams = climb.teams.map(({ name, students }) => ({ name, students }))
  const stop = async () => {
    try {
      client.setQueryData(key, await take(api.DELETE('/api/handouts/{id}/climb', path)))
      toast('The climb is stopped.', { undo: () => void begin(teams).catch(sorry) })
    } catch (thrown) {
      sorry(thrown)
    }
  }
  return (
    <section className="mt-5">
      <h2 className="text-lg">Team climb</h2>
      {climb.state === 'on' ? (
        <>
          <table className="mt-1 w-full text-[15px]">
            <caption className="sr-only">How high each team stands, of {plural(climb.length, 'rung')}</caption>
            <tbody>
              {climb.teams.map((team) => (
                <tr key={team.name} className="border-t">
                  <th scope="row" className="py-1 text-left font-semibold">
                    {team.name}
                  </th>
                  <td className="text-quiet">
                    {team.here} of {team.students.length} here
                  </td>
                  <td className="text-right tabular-nums">{rungsInWords(team.rungs)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="text-sm text-quiet">of {plural(climb.length, 'rung')}; it stands on the wall.</p>
          <p className="flex flex-wrap gap-2 pt-2">
            <Button size="small" onClick={() => void stop()}>
              Stop the climb
            </Button>
            <Button size="small" onClick={() => setSetting(true)}>
              Change the teams
            </Button>
          </p>
        </>
      ) : (
        <Button size="small" className="mt-1" disabled={climb.length === 0} onClick={() => setSetting(true)}>
          Let teams climb …
        </Button>
      )}
      {climb.length === 0 ? <p className="text-sm text-quiet">No question here is marked by a machine.</p> : null}
      {setting ? (
        <ClimbDialog
          handoutId={handoutId}
          climb={climb}
          rows={rows}
          nameOf={nameOf}
          onBegin={begin}
          onClose={() => setSetting(false)}
        />
      ) : null}
    </section>
  )
}
