import { Dialog as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import type { Schemas } from '@/lib/api/client'
import { useSaid } from '@/lib/say'
import { leftInWords, useTimeLeft } from './timeLeft'

type View = Schemas['SittingSittingView']
/** Told at these many seconds, once each. */
const TOLD = [300, 60]

/** Time that is set for the work, the team one climbs with, and a stop by the teacher or by the end of the time. */
export function InTheRoom({ view }: { view: View }) {
  const left = useTimeLeft(view.secondsLeft, view)
  const told = TOLD.filter((at) => left !== null && left <= at).at(-1)
  useSaid(told === undefined || left === null ? '' : leftInWords(told === 60 ? 59 : told))
  const over = left === 0
  return (
    <>
      {left !== null ? (
        <p className="border-b px-4 py-1.5 text-[15px] text-quiet tabular-nums">{leftInWords(left)}</p>
      ) : null}
      {view.climbs !== null ? (
        <p className="border-b px-4 py-1.5 text-[15px] text-quiet">
          You climb with <b className="text-ink">{view.climbs}</b>: what you have right carries your team up.
        </p>
      ) : null}
      {view.hold !== null ? (
        <Stop title="Stop and look up">
          {view.hold ? <p className="text-[1.2em]">{view.hold}</p> : null}
          <p className="text-quiet">What you have entered is kept. You go on as soon as your teacher says so.</p>
        </Stop>
      ) : over ? (
        <Stop title="Time is over">
          <p>What you have entered is kept, and is handed in in a moment.</p>
        </Stop>
      ) : null}
    </>
  )
}

/** Over everything; only the teacher, or the end, takes it away. */
function Stop({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Radix.Root open>
      <Radix.Portal>
        <Radix.Content
          role="alertdialog"
          aria-describedby={undefined}
          className="fixed inset-0 z-50 flex flex-col items-center justify-center gap-4 bg-ground p-6 text-center text-[18px]"
        >
          <span aria-hidden className="mb-2 h-[5px] w-16 bg-rung" />
          <Radix.Title className="font-head text-3xl font-semibold">{title}</Radix.Title>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
