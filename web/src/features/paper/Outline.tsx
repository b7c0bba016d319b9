import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core'
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import type { Schemas } from '@/lib/api/client'
import { Check, Pin } from 'lucide-react'
import { marks } from '@/lib/format'
import { numbersOf, placed, sectionOf, sizeOf, type Entry, type Paper, type Section } from './draft'
import { severalPlaced } from './several'
import type { How } from './useSeveral'
import { inShort, nameOf, waysOf } from './ways'

type Props = {
  paper: Paper
  items: Record<string, Schemas['Item']>
  selected: string | null
  /** chosen together, where several are */
  chosen: readonly string[]
  onSelect: (id: string, how: How) => void
  onChange: (paper: Paper) => void
  blocked: Set<string>
  /** colleagues who are at this paper, and where */
  others?: readonly Schemas['PaperVisitorView'][]
}

const entryTitle = (entry: Entry, items: Props['items']) =>
  entry.kind === 'source' ? entry.source.title || 'Source' : items[entry.item]?.title || 'Untitled question'

/**
 * The paper's outline. Entries are dragged, or moved with Alt and the arrows; several are chosen with Ctrl or Shift, and dragged
 * together.
 */
export function Outline({ paper, items, selected, chosen, onSelect, onChange, blocked, others = [] }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const numbers = numbersOf(paper)
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return
    const id = String(active.id)
    const target = String(over.id)
    const section = sectionOf(paper, target) ?? paper.sections.find((s) => s.id === target)
    if (!section) return
    if (chosen.length > 1 && chosen.includes(id)) {
      onChange(severalPlaced(paper, chosen, section.id, chosen.includes(target) ? null : target))
      return
    }
    const at = section.entries.findIndex((e) => e.id === target)
    onChange(placed(paper, id, section.id, at < 0 ? section.entries.length : at))
  }
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <ol className="flex flex-col gap-4">
        {paper.sections.map((section) => (
          <SectionPart
            key={section.id}
            {...{ section, paper, selected, blocked }}
            onSelect={(id) => onSelect(id, 'alone')}
          >
            <SortableContext items={section.entries.map((e) => e.id)} strategy={verticalListSortingStrategy}>
              {section.entries.map((entry) => (
                <EntryRow
                  key={entry.id}
                  entry={entry}
                  number={numbers.get(entry.id)}
                  title={entryTitle(entry, items)}
                  pinned={entry.kind === 'question' && entry.pinned === true}
                  selected={entry.id === selected}
                  chosen={chosen.includes(entry.id)}
                  blocked={blocked.has(entry.id)}
                  here={others.filter((o) => o.part === entry.id).map((o) => o.name)}
                  onSelect={(how) => onSelect(entry.id, how)}
                />
              ))}
            </SortableContext>
          </SectionPart>
        ))}
      </ol>
    </DndContext>
  )
}

function SectionPart({
  section,
  paper,
  selected,
  onSelect,
  blocked,
  children,
}: {
  section: Section
  paper: Paper
  selected: string | null
  onSelect: (id: string) => void
  blocked: Set<string>
  children: React.ReactNode
}) {
  const { setNodeRef } = useDroppable({ id: section.id })
  const { questions, of, points } = sizeOf(section)
  return (
    <li ref={setNodeRef}>
      <button
        className={`flex w-full items-baseline gap-2 px-2 py-1 text-left ${selected === section.id ? 'rung-row' : ''}`}
        onClick={() => onSelect(section.id)}
        aria-current={selected === section.id || undefined}
      >
        <span className="flex-1 font-head font-semibold">
          {section.title || 'Section'}
          {blocked.has(section.id) ? <span className="text-bad"> ✕</span> : null}
        </span>
        <span className="text-sm text-quiet tabular-nums">
          {questions < of ? `${questions} of ${of} · ` : ''}
          {marks(points)} {points === 1 ? 'mark' : 'marks'}
        </span>
      </button>
      <ol className="ml-2 border-l pl-1">
        {children}
        {section.entries.length === 0 ? <li className="px-3 py-1 text-sm text-quiet">Nothing here yet</li> : null}
      </ol>
      <p className="ml-4 text-sm leading-6 text-blue">
        {waysOf(paper, section).map((way, _, all) => (
          <span key={way.at} className="block">
            {inShort(section, way, all.length === 1)} → {nameOf(paper, way.to)}
          </span>
        ))}
      </p>
    </li>
  )
}

function EntryRow({
  entry,
  number,
  title,
  pinned,
  selected,
  chosen,
  blocked,
  here,
  onSelect,
}: {
  entry: Entry
  number: number | undefined
  title: string
  pinned: boolean
  selected: boolean
  chosen: boolean
  blocked: boolean
  /** colleagues who are at it */
  here: readonly string[]
  onSelect: (how: How) => void
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: entry.id })
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`${selected ? 'rung-row' : 'hover:bg-pale'} ${chosen ? 'bg-rust-pale' : ''} ${isDragging ? 'z-10 opacity-70' : ''} flex items-stretch`}
    >
      <button
        className="flex min-w-0 flex-1 gap-2 py-1.5 pl-3 text-left"
        onClick={(e) => onSelect(e.ctrlKey || e.metaKey ? 'with' : e.shiftKey ? 'until' : 'alone')}
        aria-current={selected || undefined}
      >
        <span className="w-5 shrink-0 text-right text-quiet tabular-nums">{number ?? '¶'}</span>
        <span className={`min-w-0 flex-1 ${selected ? 'font-semibold' : ''}`}>
          {title}
          {pinned ? (
            <>
              <Pin aria-hidden className="ml-1 inline size-3.5 text-quiet" />
              <span className="sr-only">, pinned</span>
            </>
          ) : null}
          {chosen ? (
            <>
              <Check aria-hidden className="ml-1 inline size-4 text-rust" strokeWidth={3} />
              <span className="sr-only">, chosen</span>
            </>
          ) : null}
          {blocked ? <span className="text-bad"> ✕</span> : null}
          {here.length > 0 ? <span className="block text-sm font-semibold text-blue">{here.join(', ')}</span> : null}
        </span>
      </button>
      <button
        {...attributes}
        {...listeners}
        role="button"
        className="touch-none min-w-6 px-1.5 text-edge hover:text-ink"
        aria-label={`Drag ${title}, or Alt with the arrows`}
      >
        ⠿
      </button>
    </li>
  )
}
