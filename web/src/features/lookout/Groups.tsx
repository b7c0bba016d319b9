import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Bar, type BarCode } from '@/ui/Bar'
import { NoteForm } from './NoteForm'
import type { Said } from './room'

type Group = Schemas['LookoutAnswerGroupView']

/** How the answers split: options in their order, or like answers, the most first; each opens to who gave it. */
export function Groups({
  groups,
  nameOf,
  onWrite,
}: {
  groups: Group[]
  nameOf: (studentId: string) => string
  onWrite?: (students: string[], said: Said) => Promise<void>
}) {
  const [open, setOpen] = useState<number | null>(null)
  const most = Math.max(1, ...groups.map((g) => g.students.length))
  const picked = groups.some((g) => g.letter !== '')
  if (groups.every((g) => g.students.length === 0)) return <p className="text-quiet">No answer has come in yet.</p>
  return (
    <section>
      <h2 className="text-lg">{picked ? 'Which options are picked?' : 'What do they say?'}</h2>
      <ol className="mt-2 flex flex-col">
        {groups.map((group, i) => (
          <li key={i} className="border-b py-1.5 text-[15px]">
            <button
              className="flex w-full items-baseline gap-2 text-left hover:underline disabled:no-underline"
              aria-expanded={open === i}
              disabled={group.students.length === 0}
              onClick={() => setOpen(open === i ? null : i)}
            >
              {group.letter ? <b className="w-4">{group.letter}</b> : null}
              <Bar code={group.code as BarCode} />
              <span className={`min-w-0 flex-1 break-words ${open === i ? '' : 'line-clamp-3'}`}>{group.label}</span>
              <b className="tabular-nums">{group.students.length}</b>
            </button>
            <svg aria-hidden viewBox="0 0 100 6" preserveAspectRatio="none" className="mt-1 h-1.5 w-full">
              <rect width={(100 * group.students.length) / most} height="6" className="fill-r3" />
            </svg>
            {group.misconception && group.students.length > 0 ? (
              <p className="text-sm text-blue">{group.misconception}</p>
            ) : null}
            {open === i ? (
              <div className="flex flex-col gap-2 py-1">
                <p className="text-sm">{group.students.map(nameOf).join(', ')}</p>
                {onWrite ? (
                  <NoteForm
                    label={`A note to the ${group.students.length}`}
                    onSend={(said) => onWrite(group.students, said)}
                  />
                ) : null}
              </div>
            ) : null}
          </li>
        ))}
      </ol>
    </section>
  )
}
