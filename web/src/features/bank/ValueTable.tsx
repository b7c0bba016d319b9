import { X } from 'lucide-react'
import { NextLine, replaced, without } from '@/answers/parts/Lines'
import { TextField } from '@/ui/Field'
import { Tip } from '@/ui/Tip'
import { plain } from './domains'
import { nameFrom, readRow, type Table } from './tables'

const tool = 'flex size-7 items-center justify-center rounded text-quiet hover:bg-rust-pale hover:text-ink'

/** Values that belong together, such as a ship and its draught. Every student gets one row. */
export function ValueTable({
  table,
  fault,
  onChange,
  onRemove,
}: {
  table: Table
  fault?: string
  onChange: (table: Table) => void
  onRemove: () => void
}) {
  const { name, columns, rows } = table
  return (
    <div role="group" aria-label={`Table ${name}`} className="border-b py-1.5 first:border-t">
      <div className="flex items-center gap-2">
        <span className="text-sm text-quiet">table</span>
        <div className="w-28">
          <TextField
            label="Name of the table"
            hideLabel
            inPlace
            className="font-mono font-bold"
            maxLength={20}
            value={name}
            onChange={(e) => onChange({ ...table, name: nameFrom(e.target.value) })}
          />
        </div>
        <span className="flex-1 text-sm text-quiet">a row each</span>
        <Tip says="Remove">
          <button type="button" aria-label={`Remove table ${name}`} className={tool} onClick={onRemove}>
            <X aria-hidden className="size-4" />
          </button>
        </Tip>
      </div>
      <table className="w-full">
        <caption className="sr-only">{name}: values that belong together</caption>
        <thead>
          <tr>
            {columns.map((column, c) => (
              <th key={c} scope="col" className="pr-2 text-left">
                <TextField
                  label={`Name of column ${c + 1}`}
                  hideLabel
                  inPlace
                  className="font-mono font-bold"
                  maxLength={20}
                  value={column}
                  onChange={(e) => onChange({ ...table, columns: replaced(columns, c, nameFrom(e.target.value)) })}
                />
              </th>
            ))}
            <td className="w-7" />
          </tr>
        </thead>
        <tbody>
          {rows.map((row, r) => (
            <tr key={r} className="border-t">
              {row.map((cell, c) => (
                <td key={c} className="pr-2">
                  <TextField
                    label={`${columns[c]}, row ${r + 1}`}
                    hideLabel
                    inPlace
                    className="text-sm"
                    maxLength={60}
                    value={cell}
                    onChange={(e) =>
                      onChange({ ...table, rows: replaced(rows, r, replaced(row, c, plain(e.target.value))) })
                    }
                  />
                </td>
              ))}
              <td>
                {rows.length > 1 ? (
                  <Tip says="Remove">
                    <button
                      type="button"
                      aria-label={`Remove row ${r + 1} of ${name}`}
                      className={tool}
                      onClick={() => onChange({ ...table, rows: without(rows, r) })}
                    >
                      <X aria-hidden className="size-4" />
                    </button>
                  </Tip>
                ) : null}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <NextLine
        label={`Next row of ${name}`}
        mark={<span className="w-3" />}
        placeholder={`another row, such as ${rows[0]?.join(', ') ?? ''}`}
        onLines={(lines) =>
          onChange({ ...table, rows: [...rows, ...lines.map((line) => readRow(line, columns.length))] })
        }
      />
      {fault ? <p className="mt-1 text-[15px] font-semibold text-bad">✕ {fault}</p> : null}
    </div>
  )
}
