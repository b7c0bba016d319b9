import { percent, plural, typeset } from '@/lib/format'
import { Explained } from '@/ui/Explained'
import type { Group } from './groups'

/** Groups side by side, with why each student is there; moved by dragging, or by the list beside the name. */
export function Groups({ groups, onMove }: { groups: Group[]; onMove?: (studentId: string, to: number) => void }) {
  return (
    <div className="grid items-start gap-4 md:grid-cols-2 xl:grid-cols-3">
      {groups.map((group, i) => (
        <section
          key={i}
          aria-label={group.name}
          className="rounded border bg-sheet"
          onDragOver={(e) => onMove && e.preventDefault()}
          onDrop={(e) => {
            e.preventDefault()
            onMove?.(e.dataTransfer.getData('text/plain'), i)
          }}
        >
          <header className="border-b px-4 py-2">
            <h2 className="text-lg">{group.name}</h2>
            <p className="text-sm text-quiet">
              {plural(group.members.length, 'student')}
              {group.nextStep ? ` · ${group.nextStep}` : ''}
            </p>
            {group.handouts.length > 0 ? (
              <p className="text-sm text-good">✓ handed: {group.handouts.map((h) => h.title).join(', ')}</p>
            ) : null}
          </header>
          <ul>
            {group.members.map((m) => (
              <li
                key={m.studentId}
                draggable={Boolean(onMove)}
                onDragStart={(e) => e.dataTransfer.setData('text/plain', m.studentId)}
                className={`border-b px-4 py-1.5 ${onMove ? 'cursor-grab' : ''}`}
              >
                <div className="flex items-center gap-2">
                  <span className="flex-1 font-semibold">{m.name}</span>
                  {onMove ? (
                    <select
                      aria-label={`Group of ${m.name}`}
                      className="max-w-32 rounded border border-edge bg-sheet px-1 text-sm"
                      value={i}
                      onChange={(e) => onMove(m.studentId, Number(e.target.value))}
                    >
                      {groups.map((g, j) => (
                        <option key={j} value={j}>
                          {j === i ? 'move to …' : g.name}
                        </option>
                      ))}
                    </select>
                  ) : null}
                </div>
                <p className="text-sm text-quiet">
                  {typeset(m.reason)}
                  {m.rate && m.rate.value !== null ? (
                    <>
                      {' Rate '}
                      <Explained figure={m.rate} label={`Rate of ${m.name}`} show={percent}>
                        <span className="tabular-nums">{percent(m.rate.value)}</span>
                      </Explained>
                      {m.rate.low === null || m.rate.high === null
                        ? ''
                        : `, ${percent(m.rate.low).replace(' %', '')} to ${percent(m.rate.high)}`}
                      {m.rate.note === 'few' ? ', few' : ''}.
                    </>
                  ) : null}
                </p>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  )
}
