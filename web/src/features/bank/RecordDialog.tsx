import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { moment, percent, plural } from '@/lib/format'
import { Whisker } from '@/ui/chart/small'
import { Dialog } from '@/ui/Dialog'
import { Explained } from '@/ui/Explained'
import { Failed, Loading } from '@/ui/States'
import { Word } from '@/ui/Word'

type Use = Schemas['ResultsUseView']
type Figure = Schemas['ResultsFigureView']

/** What became of a question each time it was handed out: by edition and class, with its options and what is to be looked at. */
export function RecordDialog({ id, title, onClose }: { id: string; title: string; onClose: () => void }) {
  const uses = useQuery({
    queryKey: ['item', id, 'uses'],
    queryFn: () => take(api.GET('/api/items/{id}/uses', { params: { path: { id } } })),
    gcTime: 0,
  })
  return (
    <Dialog open wide onClose={onClose} title={`Each time “${title}” was handed out`}>
      {uses.isPending ? <Loading what="Counting" /> : null}
      {uses.isError ? <Failed error={uses.error} retry={() => void uses.refetch()} /> : null}
      {uses.data?.uses.length === 0 ? <p className="text-quiet">Nobody has handed this in yet.</p> : null}
      {uses.data && uses.data.uses.length > 0 ? (
        <table className="w-full text-[15px]">
          <caption className="pb-2 text-left text-quiet">
            As the results count: a student once, by the attempt rule. The newest stands first.
          </caption>
          <thead>
            <tr className="border-b text-left text-sm text-quiet">
              <th scope="col" className="py-1 pr-3 font-medium">
                Handed out
              </th>
              <th scope="col" className="px-3 font-medium">
                <Word of="facility">Right</Word>, with 95 %
              </th>
              <th scope="col" className="px-3 text-right font-medium">
                <Word of="item–rest r">r</Word>
              </th>
              <th scope="col" className="pl-3 font-medium">
                What was answered
              </th>
            </tr>
          </thead>
          {uses.data.uses.map((use) => (
            <OneUse key={`${use.handoutId} ${use.question.entry}`} use={use} />
          ))}
        </table>
      ) : null}
      {uses.data && uses.data.rooms.length > 0 ? <InTheRoom rooms={uses.data.rooms} /> : null}
    </Dialog>
  )
}

function OneUse({ use }: { use: Use }) {
  const { question: q } = use
  return (
    <tbody className="border-b align-top">
      <tr>
        <th scope="rowgroup" className="min-w-44 py-2 pr-3 text-left font-normal">
          <Link to={`/results/${use.handoutId}`} className="font-semibold text-blue underline">
            {use.handout}
          </Link>
          <span className="block text-sm text-quiet">
            edition {use.edition}, {moment(use.madeAt)}
          </span>
        </th>
        <td className="px-3 py-2 whitespace-nowrap">
          <Facility figure={q.facility} label={use.handout} />
        </td>
        <td className="px-3 py-2 text-right tabular-nums">
          {q.itemRest.value === null ? <span className="text-quiet">–</span> : q.itemRest.value.toFixed(2)}
        </td>
        <td className="py-2 pl-3">
          {q.options.length > 0 ? (
            <ul className="flex flex-wrap gap-x-3">
              {q.options.map((o) => (
                <li key={o.id} className={o.key ? 'font-semibold' : ''}>
                  {o.key ? '✓ ' : ''}
                  {o.letter} {percent(o.share)}
                </li>
              ))}
            </ul>
          ) : (
            <ul>
              {q.lines.slice(0, 4).map((line) => (
                <li key={line.answer}>
                  {line.answer} <span className="text-quiet">{line.count}</span>
                </li>
              ))}
            </ul>
          )}
          {q.omitted + q.notReached > 0 ? (
            <p className="text-sm text-quiet">
              {[
                q.omitted > 0 ? `${q.omitted} left it blank` : '',
                q.notReached > 0 ? `${q.notReached} did not reach it` : '',
              ]
                .filter((said) => said !== '')
                .join(', ')}
            </p>
          ) : null}
          {q.flags.map((flag) => (
            <p key={flag.kind} className="text-sm">
              <b className="text-blue">{flag.kind}</b> <span className="text-quiet">{flag.evidence}</span>
            </p>
          ))}
        </td>
      </tr>
      {use.classes.map((one) => (
        <tr key={one.name}>
          <th scope="row" className="pr-3 pb-1 pl-4 text-left font-normal">
            {one.name}
          </th>
          <td className="px-3 pb-1 whitespace-nowrap">
            <Facility figure={one.facility} label={`${use.handout}, ${one.name}`} />
          </td>
          <td />
          <td />
        </tr>
      ))}
    </tbody>
  )
}

function Facility({ figure, label }: { figure: Figure; label: string }) {
  if (figure.value === null) return <span className="text-quiet">not marked yet</span>
  return (
    <>
      <Whisker figure={figure} />{' '}
      <Explained figure={figure} label={`Right in ${label}`} show={percent}>
        <span className="tabular-nums">{percent(figure.value)}</span>
      </Explained>{' '}
      <span className="text-quiet">of {plural(figure.n, 'student')}</span>
    </>
  )
}

/** What two counts of it said, with a talk between them. */
function InTheRoom({ rooms }: { rooms: Schemas['LookoutRoomCountView'][] }) {
  const share = (n: number, of: number) => (of === 0 ? '–' : `${n} of ${of}, ${percent(n / of)}`)
  return (
    <table className="mt-4 w-full text-[15px]">
      <caption className="pb-2 text-left text-quiet">Counted in the room</caption>
      <thead>
        <tr className="border-b text-left text-sm text-quiet">
          <th scope="col" className="py-1 pr-3 font-medium">
            Lesson
          </th>
          <th scope="col" className="px-3 font-medium">
            Right at first
          </th>
          <th scope="col" className="px-3 font-medium">
            Right after the talk
          </th>
        </tr>
      </thead>
      <tbody>
        {rooms.map((room) => (
          <tr key={room.handoutId} className="border-b">
            <th scope="row" className="py-2 pr-3 text-left font-normal">
              <Link to={`/lookout/${room.handoutId}`} className="font-semibold text-blue underline">
                {room.handout}
              </Link>
              <span className="block text-sm text-quiet">
                {moment(room.madeAt)}, {room.byHands ? 'raised hands' : 'on devices, those in both counts'}
              </span>
            </th>
            <td className="px-3 tabular-nums">{share(room.firstRight, room.first)}</td>
            <td className="px-3 tabular-nums">
              {room.nowRight === null || room.now === null ? (
                <span className="text-quiet">not counted</span>
              ) : (
                share(room.nowRight, room.now)
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
