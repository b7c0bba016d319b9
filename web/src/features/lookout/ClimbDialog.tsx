import { useMutation } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { percent, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { Menu } from '@/ui/Menu'
import { Pick } from '@/ui/Pick'
import { FaultLine, Loading } from '@/ui/States'
import type { Row } from './rows'

type Climb = Schemas['SittingClimbView']
export type Team = { name: string; students: string[] }

const COUNTS = ['2', '3', '4', '5', '6'] as const
type Count = (typeof COUNTS)[number]

/** Teams, drawn as strong as one another or moved by hand, before they climb. */
export function ClimbDialog({
  handoutId,
  climb,
  rows,
  nameOf,
  onBegin,
  onClose,
}: {
  handoutId: string
  climb: Climb
  rows: Row[]
  nameOf: (row: Row) => string
  onBegin: (teams: Team[]) => Promise<unknown>
  onClose: () => void
}) {
  const before = climb.teams.map(({ name, students }) => ({ name, students }))
  const [teams, setTeams] = useState<Team[]>(before)
  const [count, setCount] = useState<Count>(COUNTS.find((n) => Number(n) === before.length) ?? '4')
  const [past, setPast] = useState<Record<string, number | null>>({})
  const [error, setError] = useState<unknown>(null)
  const draw = useMutation({
    mutationFn: (n: Count) =>
      take(
        api.POST('/api/handouts/{id}/climb/draw', {
          params: { path: { id: handoutId } },
          body: { teams: Number(n), seed: crypto.randomUUID() },
        }),
      ),
    onSuccess: (drawn) => {
      setTeams(drawn.teams.map(({ name, students }) => ({ name, students })))
      setPast(Object.fromEntries(drawn.teams.map((team) => [team.students.join(), team.past])))
    },
  })
  const { mutate } = draw
  useEffect(() => {
    if (before.length === 0) mutate('4')
    // Drawn once, where nothing has been drawn before.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [])
  const who = (id: string) => {
    const row = rows.find((r) => r.studentId === id)
    return row ? nameOf(row) : 'a student'
  }
  const move = (id: string, to: string) =>
    setTeams((old) =>
      old.map(({ name, students }) => {
        const others = students.filter((s) => s !== id)
        return { name, students: name === to ? [...others, id] : others }
      }),
    )
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Teams that climb"
      foot={
        <Button kind="do" disabled={teams.length === 0} onClick={() => void onBegin(teams).then(onClose, setError)}>
          {climb.state === 'on' ? 'Climb on with these teams' : 'Let them climb'}
        </Button>
      }
    >
      <div className="flex flex-col gap-3">
        <p className="text-[15px] text-quiet">
          Each right answer carries a team up: a rung is one question that all of a team have right. Neither haste nor
          the size of a team counts, and whoever is not here holds nobody down. The wall shows the teams, never who is
          in them; each student is told their team.
          {climb.tells ? (
            <b className="mt-1 block font-semibold text-ink">
              Whoever watches the wall can tell that an answer was right before this handout says so.
            </b>
          ) : null}
        </p>
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
          <Pick
            label="How many teams"
            value={count}
            onChange={(n) => {
              setCount(n)
              draw.mutate(n)
            }}
            options={COUNTS.map((n) => ({ value: n, label: `${n} teams` }))}
          />
          <Button size="small" disabled={draw.isPending} onClick={() => draw.mutate(count)}>
            Draw anew
          </Button>
        </div>
        {draw.isPending && teams.length === 0 ? <Loading what="Drawing teams" /> : null}
        <FaultLine error={error ?? draw.error} />
        <div className="grid grid-cols-2 gap-x-5 gap-y-3 sm:grid-cols-4">
          {teams.map((team) => {
            const share = past[team.students.join()]
            return (
              <section key={team.name} aria-label={team.name} className="border-t pt-2">
                <h3 className="text-base">{team.name}</h3>
                <p className="text-sm text-quiet">
                  {plural(team.students.length, 'student')}
                  {typeof share === 'number' ? ` · ${percent(share)} of the marks in earlier work` : ''}
                </p>
                <ul className="mt-1">
                  {team.students.map((id) => (
                    <li key={id}>
                      <Menu
                        size="small"
                        kind="quiet"
                        align="start"
                        face={who(id)}
                        label={`${who(id)}, move to another team`}
                        head="Move to"
                        acts={teams
                          .filter((other) => other !== team)
                          .map((other) => ({ id: other.name, label: other.name, run: () => move(id, other.name) }))}
                      />
                    </li>
                  ))}
                </ul>
              </section>
            )
          })}
        </div>
        {teams.length > 0 ? (
          <p className="text-sm text-quiet">
            Drawn so that the teams are as strong as one another by the marks of earlier work; of whom there is none,
            the middle is taken. Press a name to move it.
          </p>
        ) : null}
      </div>
    </Dialog>
  )
}
