import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { duration, hundredths, percent, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { Fold } from '@/ui/Fold'
import { SelectField } from '@/ui/Select'
import { Failed, Loading } from '@/ui/States'
import { useRehearsal } from './useRehearsal'

const STUDENTS = 400
const HOLDERS = [
  { share: 0, name: 'nobody' },
  { share: 0.1, name: '1 in 10' },
  { share: 0.2, name: '1 in 5' },
  { share: 0.4, name: '2 in 5' },
]

/** The draft, sat by made-up students: which ways they take, how long these are, what comes of them. */
export function Rehearsal({
  paperId,
  version,
  open,
  onClose,
}: {
  paperId: string
  version: number
  open: boolean
  onClose: () => void
}) {
  const [round, setRound] = useState(1)
  const [holders, setHolders] = useState(0)
  const found = useRehearsal(paperId, version, { students: STUDENTS, round, holders, enabled: open })
  const r = found.data
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title={`${STUDENTS} made-up students sit this draft`}
      wide
      foot={
        <Button disabled={found.isFetching} onClick={() => setRound(round + 1)}>
          {found.isFetching ? 'Rehearsing …' : 'Let others sit it'}
        </Button>
      }
    >
      {found.isError ? <Failed error={found.error} retry={() => void found.refetch()} /> : null}
      {found.isPending ? <Loading what="The students are sitting it" /> : null}
      {r ? (
        <div className="flex flex-col gap-5">
          <p>
            Half are done within <b>{duration(r.seconds[1] ?? 0)}</b>, nine in ten within{' '}
            <b>{duration(r.seconds[2] ?? 0)}</b>.
          </p>
          {r.ways.length > 1 ? (
            <Bars
              title="Which way do they go?"
              of={r.students}
              bars={r.ways.map((w) => ({ label: w.way, n: w.students.count, interval: w.students }))}
            />
          ) : null}
          {r.routes.map((route) => (
            <p key={route.section} className="-mt-3 text-[15px]">
              After “{route.section}”, {said(route.below)} of {route.students} are sent below their level and{' '}
              {said(route.above)} above it.
              {route.below.count + route.above.count > route.students / 5
                ? ' More questions in it, or a cut further from the middle, err less.'
                : ''}
            </p>
          ))}
          {r.lengths.length > 1 ? (
            <Bars
              title="How many questions do they answer, returns counted?"
              of={r.students}
              bars={inRanges(r.lengths)}
            />
          ) : (
            <p>Everybody answers {plural(r.lengths[0]?.questions ?? 0, 'question')}.</p>
          )}
          <Bars
            title="What share of the marks do they reach?"
            of={1}
            bars={r.abilities.map((a, i) => ({ label: FIFTHS[i] ?? '', n: a.share }))}
          />
          <div className="max-w-56">
            <SelectField
              label="Each wrong idea is held by"
              value={String(holders)}
              onChange={(value) => setHolders(Number(value))}
              options={HOLDERS.map((h) => ({ value: String(h.share), label: h.name }))}
            />
          </div>
          <Fold label="How was this computed?">
            <p className="text-[15px] text-quiet">
              Abilities follow a standard normal curve. A question is answered rightly with chance guess + (1 − guess −
              slip) ÷ (1 + e<sup>difficulty − ability</sup>); slip 5 %, guess one of the options, or 5 % where there are
              none. Who holds a wrong idea is right by a slip alone where it leads astray. A student’s level is where
              the share would send them that a first try brings without guesses, slips and returns. Difficulty comes
              from the bank’s record for {r.known} of {plural(r.questions, 'question')}, and is middling for the others;
              time from the record for {r.timed}, else by type. n = {r.students}; ranges are 95 % intervals (Wilson) for
              what more such students would show. The same students come back with the same paper.
            </p>
          </Fold>
        </div>
      ) : null}
    </Dialog>
  )
}

/** 41 (10 %, 8–14 %): how many, the share, its interval. */
const said = (s: Schemas['PaperShareView']) => `${s.count} (${percent(s.share)}, ${range(s)})`
const range = ({ low, high }: { low: number; high: number }) => `${hundredths(low)}–${percent(high)}`

const MOST_BARS = 8

/** Lengths one by one while they are few, else in ranges of equal width. */
export function inRanges(lengths: { questions: number; students: number }[]): { label: string; n: number }[] {
  const first = lengths[0]?.questions ?? 0
  const width = Math.ceil(((lengths.at(-1)?.questions ?? 0) - first + 1) / MOST_BARS)
  const ranges = new Map<number, number>()
  for (const l of lengths) {
    const from = first + Math.floor((l.questions - first) / width) * width
    ranges.set(from, (ranges.get(from) ?? 0) + l.students)
  }
  return [...ranges].map(([from, n]) => ({ label: width === 1 ? String(from) : `${from}–${from + width - 1}`, n }))
}

const FIFTHS = ['least able fifth', 'second fifth', 'middle fifth', 'fourth fifth', 'most able fifth']

/** Counts or shares as bars with their values in words beside them. */
function Bars({
  title,
  bars,
  of,
}: {
  title: string
  bars: { label: string; n: number; interval?: { low: number; high: number } }[]
  of: number
}) {
  return (
    <section>
      <h3 className="font-head font-semibold">{title}</h3>
      <table className="mt-1 w-full text-[15px]">
        <caption className="sr-only">{title}</caption>
        <tbody>
          {bars.map((bar) => (
            <tr key={bar.label}>
              <th scope="row" className="w-px py-0.5 pr-3 text-left font-normal whitespace-nowrap">
                {bar.label}
              </th>
              <td className="w-full">
                <span className="block h-3 border-b">
                  <span className="block h-3 bg-r2" style={{ width: percent(bar.n / of).replace(' ', '') }} />
                </span>
              </td>
              {of === 1 ? null : <td className="pl-3 text-right tabular-nums">{bar.n}</td>}
              <td className={`pl-3 text-right whitespace-nowrap tabular-nums ${of === 1 ? '' : 'text-quiet'}`}>
                {percent(bar.n / of)}
                {bar.interval ? <span className="text-quiet">, {range(bar.interval)}</span> : null}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
