import { useDraggable } from '@dnd-kit/core'
import type { ReactNode } from 'react'

/** Something to be brought to its place: dragged, or picked up by one press and put down by the next. */
export function Piece({
  id,
  held,
  disabled,
  onPress,
  children,
}: {
  id: string
  held: boolean
  disabled: boolean
  onPress: () => void
  children: ReactNode
}) {
  const { listeners, setNodeRef, transform, isDragging } = useDraggable({ id, disabled })
  return (
    <button
      ref={setNodeRef}
      type="button"
      disabled={disabled}
      aria-pressed={held}
      onClick={onPress}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      className={`relative min-h-11 cursor-grab touch-none rounded border-2 bg-sheet px-4 py-1.5 disabled:cursor-default ${held || isDragging ? 'z-10 border-ink' : 'border-edge hover:border-ink'}`}
      {...listeners}
    >
      {held ? <span aria-hidden className="absolute -top-[5px] left-3 h-2 w-6 bg-rung" /> : null}
      {children}
    </button>
  )
}
