import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { timeOfDay } from '@/lib/format'
import { inTab } from '@/lib/remembered'
import { useSaid } from '@/lib/say'
import { useMedia } from '@/media/place'
import { Button } from '@/ui/Button'

type View = Schemas['SittingSittingView']

const placeOf = (sitting: string) => `chalk.notes.${sitting}`
const awayIn = (sitting: string) => (inTab.getItem(placeOf(sitting)) ?? '').split(' ')

/** What the teacher has written, each until it is put away; a new one is said aloud where the device reads to its student. */
export function Notes({ view, numberOf }: { view: View; numberOf: (entry: string) => number | undefined }) {
  const [away, setAway] = useState(() => awayIn(view.id))
  const notes = view.notes.filter((note) => !away.includes(note.id))
  const { urlOf } = useMedia()
  useSaid(notes[0] ? `Note from your teacher: ${notes[0].words || 'a spoken one'}` : '')
  if (notes.length === 0) return null
  const put = (id: string) => {
    const next = [...away, id]
    inTab.setItem(placeOf(view.id), next.join(' '))
    setAway(next)
  }
  return (
    <ul aria-label="Notes from your teacher" className="mx-auto max-h-[40dvh] w-full overflow-auto">
      {notes.map((note) => {
        const number = note.entry === null ? undefined : numberOf(note.entry)
        return (
          <li key={note.id} className="flex items-start gap-3 border-t bg-pale px-4 py-2 text-[0.9em]">
            <span className="min-w-0 flex-1 break-words">
              <span className="block text-[15px] text-quiet">
                Your teacher{number === undefined ? '' : `, on question ${number}`}, {timeOfDay(new Date(note.madeAt))}
              </span>
              {linked(note.words)}
              {note.file ? (
                <audio
                  controls
                  preload="none"
                  src={urlOf(note.file)}
                  aria-label="Spoken by your teacher"
                  className="mt-1 w-full max-w-md"
                />
              ) : null}
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
