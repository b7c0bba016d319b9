import type { ReactNode } from 'react'

/** A table of so many rows and columns; what stands in each cell is drawn by the caller. */
export function Grid({
  label,
  rows,
  columns,
  children,
}: {
  label: string
  rows: number
  columns: number
  children: (row: number, column: number) => ReactNode
}) {
  const counted = (n: number) => Array.from({ length: n }, (_, i) => i + 1)
  return (
    <div className="max-w-full overflow-x-auto">
      <table className="border-collapse">
        <caption className="sr-only">{label}</caption>
        <tbody>
          {counted(rows).map((row) => (
            <tr key={row}>
              {counted(columns).map((column) => (
                <td key={column} className="border border-edge p-0 align-middle">
                  {children(row, column)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
