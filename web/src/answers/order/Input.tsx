import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { ArrowDown, ArrowUp, GripVertical } from 'lucide-react'
import { Rich } from '@/lib/Rich'
import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import type { InputProps } from '../kinds'
import { orderOf, plainOf } from '../parts/values'

/** Things to put in order: dragged by mouse or finger, or one step by its buttons. */
export default function Input({ face, value, onChange, disabled, heading }: InputProps<'order'>) {
  const given = orderOf(value)
  const things = [
    ...given.flatMap((id) => face.things.find((t) => t.id === id) ?? []),
    ...face.things.filter((t) => !given.includes(t.id)),
  ]
  const ids = things.map((t) => t.id)
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 150, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const move = (id: string, to: number) => {
    if (disabled || to < 0 || to >= ids.length) return
    const next = ids.filter((one) => one !== id)
    next.splice(to, 0, id)
    onChange({ order: next })
  }
  const nameOf = (id: unknown) => plainOf(things.find((t) => t.id === id)?.text ?? '')
  const placeOf = (id: unknown) => ids.indexOf(String(id)) + 1
  return (
    <div role="group" aria-label={`Your order for ${heading}`}>
      <p className="mb-2 text-[0.85em] text-quiet">Put them in order, the first at the top</p>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{
          announcements: {
            onDragStart: ({ active }) => `${nameOf(active.id)} is picked up, place ${placeOf(active.id)}.`,
            onDragOver: ({ active, over }) => (over ? `${nameOf(active.id)} at place ${placeOf(over.id)}.` : undefined),
            onDragEnd: ({ active, over }) =>
              over ? `${nameOf(active.id)} stands at place ${placeOf(over.id)}.` : `${nameOf(active.id)} stays.`,
            onDragCancel: ({ active }) => `${nameOf(active.id)} stays.`,
          },
          screenReaderInstructions: {
            draggable: 'Space picks it up, the arrow keys move it, Space puts it down, Escape leaves it where it was.',
          },
        }}
        onDragEnd={({ active, over }) => over && move(String(active.id), ids.indexOf(String(over.id)))}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy} disabled={disabled}>
          <ol className="flex flex-col gap-2">
            {things.map((thing, i) => (
              <Row
                key={thing.id}
                thing={thing}
                place={i}
                last={i === things.length - 1}
                disabled={disabled}
                onMove={(by) => move(thing.id, i + by)}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {given.length === 0 && !disabled ? (
        <Button className="mt-3 min-h-11" onClick={() => onChange({ order: ids })}>
          This order is right
        </Button>
      ) : null}
    </div>
  )
}

function Row({
  thing,
  place,
  last,
  disabled,
  onMove,
}: {
  thing: Schemas['Thing']
  place: number
  last: boolean
  disabled: boolean
  onMove: (by: -1 | 1) => void
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: thing.id,
    disabled,
  })
  const name = plainOf(thing.text)
  const tool =
    'flex size-11 shrink-0 items-center justify-center rounded border border-edge hover:border-ink disabled:opacity-40'
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex min-h-14 items-center gap-2 rounded border-2 bg-sheet px-2 py-1.5 ${isDragging ? 'relative z-10 border-ink shadow-float' : 'border-edge'}`}
    >
      <span aria-hidden className="w-6 text-center text-quiet tabular-nums">
        {place + 1}
      </span>
      <button
        ref={setActivatorNodeRef}
        type="button"
        disabled={disabled}
        aria-label={`Drag ${name}`}
        className="flex size-11 shrink-0 cursor-grab touch-none items-center justify-center rounded text-quiet disabled:cursor-default"
        {...attributes}
        {...listeners}
      >
        <GripVertical aria-hidden className="size-5" />
      </button>
      <Rich html={thing.text} className="min-w-0 flex-1" />
      <button
        type="button"
        className={tool}
        aria-label={`${name} up`}
        disabled={disabled || place === 0}
        onClick={() => onMove(-1)}
      >
        <ArrowUp aria-hidden className="size-5" />
      </button>
      <button
        type="button"
        className={tool}
        aria-label={`${name} down`}
        disabled={disabled || last}
        onClick={() => onMove(1)}
      >
        <ArrowDown aria-hidden className="size-5" />
      </button>
    </li>
  )
}
