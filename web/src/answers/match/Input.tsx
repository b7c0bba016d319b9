import { DndContext, useDroppable } from '@dnd-kit/core'
import { X } from 'lucide-react'
import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import { say } from '@/lib/say'
import { useDragging } from '@/ui/drag'
import type { InputProps } from '../kinds'
import { Piece } from '../parts/Piece'
import { pairsOf, plainOf } from '../parts/values'

type Thing = Schemas['Thing']

/** Things to bring to places: dragged, or picked up by one press and put down by the next. */
export default function Input({ face, value, onChange, disabled, heading }: InputProps<'match'>) {
  const pairs = pairsOf(value)
  const [held, setHeld] = useState<string | null>(null)
  const sensors = useDragging()
  const thingOf = (id: string | undefined) => face.things.find((t) => t.id === id)
  const nameOf = (of: readonly Thing[], id: string) => plainOf(of.find((t) => t.id === id)?.text ?? '')
  const put = (thing: string, place: string) => {
    if (disabled) return
    setHeld(null)
    say(`${nameOf(face.things, thing)} is in ${nameOf(face.places, place)} now.`)
    onChange({ pairs: [...(face.copies ? pairs : pairs.filter((p) => p[0] !== thing)), [thing, place]] })
  }
  const takeOut = (at: number) => {
    say(`${nameOf(face.things, pairs[at]?.[0] ?? '')} is taken out.`)
    onChange({ pairs: pairs.filter((_, i) => i !== at) })
  }
  const left = face.copies ? face.things : face.things.filter((t) => !pairs.some((p) => p[0] === t.id))
  return (
    <div role="group" aria-label={`Your pairs for ${heading}`}>
      <p className="mb-2 text-[0.85em] text-quiet">
        {held ? 'Now press the place where it belongs' : 'Drag each to its place, or press it and then the place'}
      </p>
      <DndContext
        sensors={sensors}
        accessibility={{
          announcements: {
            onDragStart: ({ active }) => `${nameOf(face.things, String(active.id))} is picked up.`,
            onDragOver: ({ over }) => (over ? `Over ${nameOf(face.places, String(over.id))}.` : undefined),
            onDragEnd: () => undefined,
            onDragCancel: () => 'It stays.',
          },
          screenReaderInstructions: { draggable: 'Press it, then the place where it belongs.' },
        }}
        onDragEnd={({ active, over }) => over && put(String(active.id), String(over.id))}
      >
        <ul className="flex min-h-14 flex-wrap gap-2 border-b pb-3" aria-label="To be placed">
          {left.map((thing) => (
            <li key={thing.id}>
              <Piece
                id={thing.id}
                held={held === thing.id}
                disabled={disabled}
                onPress={() => setHeld(held === thing.id ? null : thing.id)}
              >
                <Rich html={thing.text} inline />
              </Piece>
            </li>
          ))}
          {left.length === 0 ? <li className="text-quiet">All are placed.</li> : null}
        </ul>
        <div className="mt-3 flex flex-col gap-2.5">
          {face.places.map((place) => (
            <Place
              key={place.id}
              place={place}
              held={held}
              disabled={disabled}
              onPut={() => held && put(held, place.id)}
            >
              {pairs.map((pair, i) => {
                const thing = pair[1] === place.id ? thingOf(pair[0]) : undefined
                return thing ? (
                  <span key={i} className="flex items-center gap-1 rounded border border-ink bg-pale py-0.5 pl-3">
                    <Rich html={thing.text} inline />
                    <button
                      type="button"
                      disabled={disabled}
                      aria-label={`Take ${plainOf(thing.text)} out of ${plainOf(place.text)}`}
                      className="flex size-11 items-center justify-center disabled:hidden"
                      onClick={() => takeOut(i)}
                    >
                      <X aria-hidden className="size-4" />
                    </button>
                  </span>
                ) : null
              })}
            </Place>
          ))}
        </div>
      </DndContext>
    </div>
  )
}

function Place({
  place,
  held,
  disabled,
  onPut,
  children,
}: {
  place: Thing
  held: string | null
  disabled: boolean
  onPut: () => void
  children: React.ReactNode
}) {
  const { setNodeRef, isOver } = useDroppable({ id: place.id, disabled })
  return (
    <div
      ref={setNodeRef}
      className={`flex min-h-14 flex-wrap items-center gap-2 rounded border-2 px-3 py-1.5 ${isOver || held ? 'border-ink bg-sheet' : 'border-edge'}`}
    >
      <Rich html={place.text} className="min-w-24 font-semibold" />
      {children}
      {held && !disabled ? (
        <button
          type="button"
          className="ml-auto min-h-11 rounded border border-rust px-3 font-semibold text-rust"
          aria-label={`Put it in ${plainOf(place.text)}`}
          onClick={onPut}
        >
          Here
        </button>
      ) : null}
    </div>
  )
}
