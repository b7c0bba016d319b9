import type { Schemas } from '@/lib/api/client'
import { timeOfDay } from '@/lib/format'
import { Button } from '@/ui/Button'
import { calling, type Row } from './rows'

/** Who asks for the teacher, whoever has waited longest first. */
export function Calls({
  rows,
  columns,
  nameOf,
  onOpen,
  onSettle,
  onHelp,
}: {
  rows: Row[]
  columns: Schemas['LookoutColumnView'][]
  nameOf: (row: Row) => string
  onOpen: (studentId: string) => void
  onSettle: (row: Row) => void
  /** finds somebody to help with the question they are stuck on */
  onHelp: (row: Row) => void
}) {
  const waiting = rows
    .filter(calling)
    .sort((a, b) => (a.call?.madeAt ?? '').localeCompare(b.call?.madeAt ?? '') || a.name.localeCompare(b.name))
  if (waiting.length === 0) return null
  return (
    <section className="mb-5">
      <h2 className="text-lg">Calls</h2>
      <ul className="mt-1 border-t">
        {waiting.map((row) => (
          <li key={row.studentId} className="flex items-start gap-2 border-b py-2 text-[15px]">
            <button className="min-w-0 flex-1 text-left hover:underline" onClick={() => onOpen(row.studentId)}>
              <b>{nameOf(row)}</b> <span className="block text-quiet">{said(row, columns)}</span>
              {row.call?.words ? <span className="block break-words">“{row.call.words}”</span> : null}
            </button>
            <span className="flex flex-col gap-1">
              <Button size="small" onClick={() => onSettle(row)}>
                Seen to<span className="sr-only">: {nameOf(row)}</span>
              </Button>
              {row.call?.kind === 'stuck' && row.call.entry ? (
                <Button size="small" onClick={() => onHelp(row)}>
                  Find help<span className="sr-only"> for {nameOf(row)}</span>
                </Button>
              ) : null}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** For what they call, where, and since when. */
export function said({ call }: Row, columns: Schemas['LookoutColumnView'][]): string {
  if (!call) return ''
  const number = columns.find((c) => c.entry === call.entry)?.number
  return [
    call.kind === 'look' ? 'look this over' : 'stuck',
    number === undefined ? '' : `question ${number}`,
    timeOfDay(new Date(call.madeAt)),
  ]
    .filter(Boolean)
    .join(' · ')
}
