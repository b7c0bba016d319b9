import { useEffect, useRef } from 'react'
import type { Schemas } from '@/lib/api/client'
import { useSaid } from '@/lib/say'
import { leftInWords, useTimeLeft } from './timeLeft'

/** Below a minute, in steps that can be read without being driven by them. */
const STEP = 5
/** Told once to who listens. */
const TOLD = 10
/** Where the network is gone, this is tried again. */
const AGAIN = 10_000

const inWords = (seconds: number) =>
  seconds >= 60 || seconds === 0 ? leftInWords(seconds) : `${Math.ceil(seconds / STEP) * STEP} s left`

/** The time for the question at hand, where each has its own. When it is over, what is there stays and the next one comes. */
export function Turn({
  turn,
  entry,
  stands,
  onOver,
}: {
  turn: Schemas['SittingTurnView']
  entry: string
  /** the clock stands still */
  stands: boolean
  onOver: () => void
}) {
  // Until the server has heard that the student is here, it runs from when they came.
  const known = turn.entry === entry
  const left = useTimeLeft(stands ? null : known ? turn.left : turn.seconds, known ? turn : entry)
  const over = left === 0
  const tell = useRef(onOver)
  useEffect(() => {
    tell.current = onOver
  })
  useEffect(() => {
    if (!over) return
    tell.current()
    const timer = setInterval(() => tell.current(), AGAIN)
    return () => clearInterval(timer)
  }, [over, entry])
  useSaid(left !== null && left <= TOLD && turn.seconds > TOLD ? `${TOLD} seconds left for this question` : '')
  if (left === null) return null
  return (
    <div className="border-b px-4 py-1.5 text-[15px] text-quiet">
      <p className="tabular-nums">{over ? 'Time for this question is over.' : `${inWords(left)} for this question`}</p>
      <span
        aria-hidden
        className="mt-1 block h-[3px] bg-r3 motion-reduce:hidden"
        style={{ width: `${Math.min(100, (100 * left) / turn.seconds)}%` }}
      />
    </div>
  )
}
