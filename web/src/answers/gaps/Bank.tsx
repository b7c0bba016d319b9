import { DndContext, useDroppable } from '@dnd-kit/core'
import { useState, type ReactNode } from 'react'
import { say } from '@/lib/say'
import { useDragging } from '@/ui/drag'
import { Piece } from '../parts/Piece'

/** Words to drag into the gaps of a passage, or to pick up by one press and put down by the next. */
export function Bank({
  words,
  placed,
  disabled,
  onPut,
  children,
}: {
  /** as they lie in the bank; the same word may lie there twice */
  words: readonly string[]
  /** the words that stand in gaps, by gap */
  placed: Readonly<Record<string, string>>
  disabled: boolean
  onPut: (gap: string, word: string) => void
  /** the passage, with a slot for each gap */
  children: (slot: (gap: string, label: string) => ReactNode) => ReactNode
}) {
  // By its place among what is left: the same word may lie there twice.
  const [held, setHeld] = useState<number | null>(null)
  const sensors = useDragging()
  const left = [...words]
  for (const word of Object.values(placed)) {
    const at = left.indexOf(word)
    if (at >= 0) left.splice(at, 1)
  }
  const put = (gap: string, word: string) => {
    if (disabled) return
    setHeld(null)
    say(word === '' ? 'It is back in the bank.' : `“${word}” stands in the gap now.`)
    onPut(gap, word)
  }
  const wordAt = (id: string) => left[Number(id.slice(1))] ?? ''
  return (
    <DndContext
      sensors={sensors}
      accessibility={{
        announcements: {
          onDragStart: ({ active }) => `${wordAt(String(active.id))} is picked up.`,
          onDragOver: () => undefined,
          onDragEnd: () => undefined,
          onDragCancel: () => 'It stays.',
        },
        screenReaderInstructions: { draggable: 'Press it, then the gap where it belongs.' },
      }}
      onDragEnd={({ active, over }) => over && put(String(over.id), wordAt(String(active.id)))}
    >
      <p className="mb-2 text-[0.85em] text-quiet">
        {held !== null
          ? 'Now press the gap where it belongs'
          : 'Drag each word to its gap, or press it and then the gap'}
      </p>
      <ul className="mb-3 flex min-h-14 flex-wrap gap-2 border-b pb-3" aria-label="Words">
        {left.map((word, i) => (
          <li key={`${word}-${i}`}>
            <Piece id={`w${i}`} held={held === i} disabled={disabled} onPress={() => setHeld(held === i ? null : i)}>
              {word}
            </Piece>
          </li>
        ))}
        {left.length === 0 ? <li className="text-quiet">All are placed.</li> : null}
      </ul>
      {children((gap, label) => (
        <Slot
          id={gap}
          label={label}
          word={placed[gap] ?? ''}
          waiting={held !== null}
          disabled={disabled}
          onPress={() => put(gap, held === null ? '' : (left[held] ?? ''))}
        />
      ))}
    </DndContext>
  )
}

function Slot({
  id,
  label,
  word,
  waiting,
  disabled,
  onPress,
}: {
  id: string
  label: string
  word: string
  waiting: boolean
  disabled: boolean
  onPress: () => void
}) {
  const { setNodeRef, isOver } = useDroppable({ id, disabled })
  return (
    <button
      ref={setNodeRef}
      type="button"
      disabled={disabled || (word === '' && !waiting)}
      aria-label={word === '' ? `${label}, empty` : `${label}: ${word}${waiting ? '' : '. Press to take it out'}`}
      onClick={onPress}
      className={`mx-1 my-1 inline-flex min-h-11 min-w-24 items-center justify-center rounded border-2 px-3 align-middle leading-normal ${word === '' ? 'border-dashed' : ''} ${isOver ? 'border-ink bg-pale' : waiting ? 'border-ink' : 'border-edge'}`}
    >
      {word || <span className="sr-only">empty</span>}
    </button>
  )
}
