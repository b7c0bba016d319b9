import { DndContext, useDraggable, useDroppable } from '@dnd-kit/core'
import { useEffect, useRef, type KeyboardEvent } from 'react'
import { percent, plural } from '@/lib/format'
import { focusItem } from '@/lib/roving'
import { say } from '@/lib/say'
import { useDragging } from '@/ui/drag'
import { boardStep, measureOf, type Group, type Member } from './groups'

type Props = {
  groups: Group[]
  chosen: string | null
  onChoose: (studentId: string) => void
  /** Moves a student into the group at this place. */
  onMove: (studentId: string, to: number) => void
}

/**
 * Groups as ladders side by side, their students as rungs. One Tab stop: arrows go through it, Alt with the arrows moves the
 * student at hand; a finger or the mouse drags. Where somebody went is said by name.
 */
export function Board({ groups, chosen, onChoose, onMove }: Props) {
  const board = useRef<HTMLDivElement>(null)
  const moved = useRef<string | null>(null)
  const sensors = useDragging()
  useEffect(() => {
    // Whoever was moved stands elsewhere now, and the focus with them.
    if (moved.current === null) return
    focusItem(board.current, moved.current)
    moved.current = null
  }, [groups])
  const nameOf = (id: string) => groups.flatMap((g) => g.members).find((m) => m.studentId === id)?.name ?? ''
  const move = (id: string, to: number) => {
    const target = groups[to]
    if (!target || target.members.some((m) => m.studentId === id)) return
    moved.current = id
    say(`${nameOf(id)} is in “${target.name}” now.`)
    onMove(id, to)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const id = (event.target as HTMLElement).dataset.roving
    if (id === undefined || event.ctrlKey || event.metaKey || event.shiftKey) return
    const step = boardStep(groups, id, event.key)
    if (!step) return
    event.preventDefault()
    if (event.altKey) move(id, step.group)
    else if (step.student) {
      onChoose(step.student)
      focusItem(board.current, step.student)
    }
  }
  const stop = groups.some((g) => g.members.some((m) => m.studentId === chosen))
    ? chosen
    : groups.find((g) => g.members.length > 0)?.members[0]?.studentId
  return (
    <DndContext
      sensors={sensors}
      autoScroll
      accessibility={{
        announcements: {
          onDragStart: ({ active }) => `${nameOf(String(active.id))} is picked up.`,
          onDragOver: ({ active, over }) =>
            over ? `${nameOf(String(active.id))} over “${groups[Number(over.id)]?.name ?? ''}”.` : undefined,
          onDragEnd: () => undefined,
          onDragCancel: ({ active }) => `${nameOf(String(active.id))} stays.`,
        },
        screenReaderInstructions: { draggable: 'Alt with the arrow keys moves the student to another group.' },
      }}
      onDragEnd={({ active, over }) => over && move(String(active.id), Number(over.id))}
    >
      {groups.some((g) => g.members.some((m) => measureOf(m) !== null)) ? (
        <p className="mb-3 text-sm text-quiet">
          The bars show{' '}
          {groups.some((g) => g.members.some((m) => m.rate))
            ? 'how often each student shows what the group is about, else their share of the marks.'
            : 'each student’s share of the marks.'}
        </p>
      ) : null}
      <div
        ref={board}
        onKeyDown={onKeyDown}
        className="grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] items-start gap-x-4 gap-y-6"
      >
        {groups.map((group, i) => (
          <Column key={group.id ?? i} group={group} place={i}>
            {group.members.map((member) => (
              <Rung
                key={member.studentId}
                member={member}
                chosen={member.studentId === chosen}
                stop={member.studentId === stop}
                onChoose={() => onChoose(member.studentId)}
              />
            ))}
          </Column>
        ))}
      </div>
    </DndContext>
  )
}

function Column({ group, place, children }: { group: Group; place: number; children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: String(place) })
  return (
    <section ref={setNodeRef} aria-label={group.name} className="flex flex-col gap-1">
      <h2 className="text-base leading-tight">{group.name}</h2>
      <p className="text-sm text-quiet">{plural(group.members.length, 'student')}</p>
      {group.nextStep ? <p className="text-sm text-blue">{group.nextStep}</p> : null}
      {group.handouts.length > 0 ? (
        <p className="text-sm text-good">✓ handed: {group.handouts.map((h) => h.title).join(', ')}</p>
      ) : null}
      <ul className={`mt-1 min-h-10 border-x-2 border-b-2 ${isOver ? 'border-ink bg-rust-pale' : 'border-line'}`}>
        {children}
      </ul>
    </section>
  )
}

type RungProps = { member: Member; chosen: boolean; stop: boolean; onChoose: () => void }

function Rung({ member, chosen, stop, onChoose }: RungProps) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: member.studentId })
  const measure = measureOf(member)
  return (
    <li
      ref={setNodeRef}
      className={`relative border-t-2 ${isDragging ? 'z-10 bg-sheet shadow-float' : ''}`}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
    >
      <button
        {...listeners}
        data-roving={member.studentId}
        tabIndex={stop ? 0 : -1}
        aria-pressed={chosen}
        // A finger that scrolls is not one that drags: dragging begins after a moment's rest.
        className={`flex w-full touch-manipulation items-center gap-2 px-2 py-1 text-left text-[15px] ${chosen ? 'rung-row font-bold' : 'bg-sheet hover:bg-pale'} ${isDragging ? 'cursor-grabbing' : 'cursor-grab'}`}
        onClick={onChoose}
        onFocus={() => !chosen && onChoose()}
      >
        <span className="min-w-0 flex-1 truncate">{member.name}</span>
        {measure === null ? null : <Measure share={measure} />}
      </button>
    </li>
  )
}

/** How strongly the student shows what the group is about, or the share of the marks: a bar, with its value for the ear. */
function Measure({ share }: { share: number }) {
  return (
    <span className="relative h-2 w-9 shrink-0 border border-r3">
      <span
        className="absolute inset-y-0 left-0 bg-r3"
        style={{ width: `${100 * Math.min(1, Math.max(0, share))}%` }}
      />
      <span className="sr-only">{percent(share)}</span>
    </span>
  )
}
