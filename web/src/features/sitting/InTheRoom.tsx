import { Dialog as Radix } from 'radix-ui'
import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { timeOfDay } from '@/lib/format'
import { useSaid } from '@/lib/say'
import { Button } from '@/ui/Button'
import { leftInWords, useTimeLeft } from './timeLeft'

type View = Schemas['SittingSittingView']
/** Told at these many seconds, once each. */
const TOLD = [300, 60]

/** What the teacher does while a student is at work: time that is set, notes, and a stop. None of it moves the question. */
export function InTheRoom({ view, numberOf }: { view: View; numberOf: (entry: string) => number | undefined }) {
  const left = useTimeLeft(view.secondsLeft, view)
  const told = TOLD.filter((at) => left !== null && left <= at).at(-1)
  useSaid(told === undefined || left === null ? '' : leftInWords(told === 60 ? 59 : told))
  const over = left === 0
  return (
    <>
      {left !== null ? (
        <p className="border-b px-4 py-1.5 text-[15px] text-quiet tabular-nums">{leftInWords(left)}</p>
      ) : null}
      <Notes view={view} numberOf={numberOf} />
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
function Stop({ title, children }: { title: string; children: React.ReactNode }) {
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

const placeOf = (sitting: string) => `chalk.notes.${sitting}`
const awayIn = (sitting: string) => (sessionStorage.getItem(placeOf(sitting)) ?? '').split(' ')

/** What the teacher has written, each until it is put away; a new one is said aloud where the device reads to its student. */
function Notes({ view, numberOf }: { view: View; numberOf: (entry: string) => number | undefined }) {
  const [away, setAway] = useState(() => awayIn(view.id))
  const notes = view.notes.filter((note) => !away.includes(note.id))
  useSaid(notes[0] ? `Note from your teacher: ${notes[0].words}` : '')
  if (notes.length === 0) return null
  const put = (id: string) => {
    const next = [...away, id]
    sessionStorage.setItem(placeOf(view.id), next.join(' '))
    setAway(next)
  }
  return (
    <ul aria-label="Notes from your teacher">
      {notes.map((note) => {
        const number = note.entry === null ? undefined : numberOf(note.entry)
        return (
          <li key={note.id} className="flex items-start gap-3 border-b bg-pale px-4 py-2 text-[0.9em]">
            <span className="min-w-0 flex-1 break-words">
              <span className="block text-[15px] text-quiet">
                Your teacher{number === undefined ? '' : `, on question ${number}`}, {timeOfDay(new Date(note.madeAt))}
              </span>
              {linked(note.words)}
            </span>
            <Button className="min-h-11" onClick={() => put(note.id)}>
              Put away
            </Button>
          </li>
        )
      })}
    </ul>
  )
}

/** Addresses in a note lead there, in a window of their own. */
function linked(words: string) {
  return words.split(/(https?:\/\/[^\s<>"]+[^\s<>".,;:!?)])/).map((part, i) =>
    i % 2 === 0 ? (
      part
    ) : (
      <a key={i} href={part} target="_blank" rel="noopener noreferrer" className="text-blue underline">
        {part}
      </a>
    ),
  )
}
