import { memo } from 'react'
import type { Schemas } from '@/lib/api/client'
import { marks } from '@/lib/format'
import { Bar } from '@/ui/Bar'
import { Ladder } from '@/ui/Ladder'
import { answered, codeAt, isHere, type Row } from './rows'

type Props = {
  row: Row
  name: string
  columns: Schemas['LookoutColumnView'][]
  /** columns that stand close together */
  close: boolean
  rungs: string[]
  open: boolean
  onOpen: (studentId: string) => void
  /** The one row that Tab leads to; arrows lead to the others. */
  stop: boolean
}

/** One student of the picture. Drawn anew only when this student's own row changes: two hundred may be on the screen. */
export const StudentRow = memo(function StudentRow({ row, name, columns, close, rungs, open, onOpen, stop }: Props) {
  return (
    <tr
      className={`border-b ${open ? 'bg-sheet' : 'cursor-pointer hover:bg-pale'}`}
      onClick={() => onOpen(row.studentId)}
    >
      <th
        scope="row"
        className={`py-1 pr-3 pl-4 text-left font-normal whitespace-nowrap ${open ? 'rung-row font-bold' : ''}`}
      >
        <button
          data-roving={row.studentId}
          tabIndex={stop ? 0 : -1}
          aria-pressed={open}
          className={`text-left hover:underline ${row.sittingId ? '' : 'text-quiet'}`}
        >
          {name}
        </button>
        {row.call ? (
          <span className="ml-2 text-sm font-semibold text-rust">{row.call.kind === 'look' ? 'look' : 'stuck'}</span>
        ) : null}
        {row.held ? <span className="ml-2 text-sm font-semibold text-blue">held</span> : null}
        {row.left > 0 ? (
          <span className="ml-2 text-sm text-blue">left {row.left === 1 ? 'once' : `${row.left} times`}</span>
        ) : null}
        {row.state === 'expected' ? (
          <span className="ml-2 text-sm text-quiet">not here</span>
        ) : row.state !== 'open' ? (
          <span className="ml-2 text-sm text-quiet">{row.state === 'returned' ? 'returned' : 'handed in'}</span>
        ) : null}
      </th>
      <td className="px-2">
        {row.rung > 0 ? <Ladder reached={row.rung} of={rungs.length} name={rungs[row.rung - 1] ?? ''} /> : null}
      </td>
      {columns.map((c) => (
        <td key={c.entry} className={`text-center ${close ? '' : 'px-1'}`}>
          <CellCode row={row} entry={c.entry} close={close} />
        </td>
      ))}
      <td className="px-2 text-right whitespace-nowrap tabular-nums">
        {answered(row) > 0 ? `${marks(row.marks)} of ${marks(row.of)}` : ''}
      </td>
    </tr>
  )
})

/** One place of the picture: how the answer stands, and a caret where the student is now. */
function CellCode({ row, entry, close }: { row: Row; entry: string; close: boolean }) {
  const code = codeAt(row, entry)
  const here = isHere(row, entry)
  const width = !close ? 26 : here ? 12 : 20
  return (
    <span className="inline-flex items-center gap-0.5">
      {code === 'none' ? null : <Bar code={code} width={width} />}
      {here ? <Bar code="here" width={code === 'none' ? width : 12} /> : null}
    </span>
  )
}
