import { Link } from 'react-router'
import type { Schemas } from '@/lib/api/client'
import { roving } from '@/lib/roving'
import { Tip } from '@/ui/Tip'
import { Word } from '@/ui/Word'
import type { Row } from './rows'
import { StudentRow } from './StudentRow'

/** Questions from which on their columns stand closer, so that a usual screen holds them all. */
const MANY = 13

/** Students by questions, as it happens. */
export function Picture({
  handoutId,
  rows,
  columns,
  rungs,
  nameOf,
  open,
  onOpen,
}: {
  handoutId: string
  rows: Row[]
  columns: Schemas['LookoutColumnView'][]
  rungs: string[]
  nameOf: (row: Row) => string
  open: string | null
  onOpen: (studentId: string) => void
}) {
  const rove = roving(
    rows.map((r) => r.studentId),
    open,
    onOpen,
  )
  const close = columns.length >= MANY
  return (
    <div className="relative overflow-x-auto">
      {/* Fixed columns: a changed answer must not make the browser measure every cell anew. */}
      <table
        className="w-full table-fixed text-[15px]"
        style={{ minWidth: `${close ? 23 + 1.6 * columns.length : 24 + 2.25 * columns.length}rem` }}
      >
        <caption className="sr-only">Students and their answers, as it happens</caption>
        <colgroup>
          <col className="w-[15rem]" />
          <col className="w-14" />
          {columns.map((c) => (
            <col key={c.entry} />
          ))}
          <col className={close ? 'w-24' : 'w-28'} />
        </colgroup>
        <thead>
          <tr className="border-b text-left text-sm text-quiet">
            <th scope="col" className="py-1.5 pl-4 font-medium">
              Student
            </th>
            <th scope="col" className="px-2 font-medium">
              <Word of="rung">Level</Word>
            </th>
            {columns.map((c) => (
              <th scope="col" key={c.entry} className={`text-center font-medium ${close ? '' : 'px-1'}`}>
                <Tip says={`${c.title} · ${c.section}`}>
                  <Link
                    to={`/lookout/${handoutId}/${c.entry}`}
                    className="inline-block min-w-6 hover:text-ink hover:underline"
                  >
                    {c.number}
                    <span className="sr-only">, {c.title}</span>
                  </Link>
                </Tip>
              </th>
            ))}
            <th scope="col" className="pr-2 text-right font-medium">
              Marks so far
            </th>
          </tr>
        </thead>
        <tbody {...rove.list}>
          {rows.map((row) => (
            <StudentRow
              key={row.studentId}
              row={row}
              name={nameOf(row)}
              columns={columns}
              close={close}
              rungs={rungs}
              open={open === row.studentId}
              onOpen={onOpen}
              stop={rove.item(row.studentId).tabIndex === 0}
            />
          ))}
        </tbody>
      </table>
    </div>
  )
}
