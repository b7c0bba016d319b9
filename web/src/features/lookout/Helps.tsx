import { useQuery } from '@tanstack/react-query'
import { api, take, type Schemas } from '@/lib/api/client'
import { plural, timeOfDay } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Fold } from '@/ui/Fold'
import type { Room } from './room'
import type { Row } from './rows'

type Help = Schemas['SittingHelpView']

const ENDED = { teacher: 'stopped by you', helped: 'ended by the one who was helped', helper: 'ended by the helper' }

/** Who helps whom, with all that is said; what may tell who somebody is waits here. */
export function Helps({
  handoutId,
  rows,
  columns,
  nameOf,
  room,
}: {
  handoutId: string
  rows: Row[]
  columns: Schemas['LookoutColumnView'][]
  nameOf: (row: Row) => string
  room: Room
}) {
  const { data } = useQuery({
    queryKey: ['helps', handoutId],
    queryFn: () => take(api.GET('/api/handouts/{id}/helps', { params: { path: { id: handoutId } } })),
  })
  const helps = data?.helps ?? []
  const going = helps.filter((help) => help.state !== 'over')
  const over = helps.filter((help) => help.state === 'over')
  if (helps.length === 0) return null
  const who = (id: string) => {
    const row = rows.find((r) => r.studentId === id)
    return row ? nameOf(row) : 'a student'
  }
  const one = (help: Help) => <One key={help.id} help={help} who={who} columns={columns} room={room} />
  return (
    <section className="mb-5">
      <h2 className="text-lg">Students help</h2>
      <ul className="mt-1 border-t">{going.map(one)}</ul>
      {over.length > 0 ? (
        <div className="mt-1">
          <Fold label={`${plural(over.length, 'help')} over`}>
            <ul>{over.map(one)}</ul>
          </Fold>
        </div>
      ) : null}
    </section>
  )
}

function One({
  help,
  who,
  columns,
  room,
}: {
  help: Help
  who: (id: string) => string
  columns: Schemas['LookoutColumnView'][]
  room: Room
}) {
  const number = columns.find((c) => c.entry === help.entry)?.number
  const [helper, helped] = [who(help.helperId), who(help.helpedId)]
  const waits = (line: Help['lines'][number]) => line.held !== null && !line.let
  return (
    <li className="border-b py-2 text-[15px]">
      <p className="flex items-start gap-2">
        <span className="min-w-0 flex-1">
          <b>{helper}</b> helps <b>{helped}</b>
          <span className="block text-quiet">
            question {number} ·{' '}
            {help.state === 'asked'
              ? 'has not said yes yet'
              : help.state === 'over'
                ? (ENDED[help.overBy as keyof typeof ENDED] ?? 'the work is in')
                : `known as ${help.helperAs} and ${help.helpedAs}`}
          </span>
        </span>
        {help.state === 'over' ? null : (
          <Button size="small" onClick={() => void room.stopHelp(help.id)}>
            Stop
            <span className="sr-only">
              : {helper} helps {helped}
            </span>
          </Button>
        )}
      </p>
      <ol className="mt-1">
        {help.lines.map((line) => (
          <li key={line.id} className="py-0.5 pl-3 break-words">
            <span className="text-quiet">
              {timeOfDay(new Date(line.saidAt))} {line.byHelper ? helper : helped}:
            </span>{' '}
            {line.words}
            {waits(line) ? (
              <span className="mt-0.5 flex flex-wrap items-center gap-2">
                <span className="text-blue">held back: {line.held}</span>
                <Button size="small" onClick={() => void room.letThrough(help.id, line.id)}>
                  Let it through
                </Button>
              </span>
            ) : line.held !== null ? (
              <span className="text-quiet"> (you let it through)</span>
            ) : null}
          </li>
        ))}
      </ol>
    </li>
  )
}
