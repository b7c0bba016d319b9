import type { InputProps } from '../kinds'
import { cellsOf } from '../parts/values'
import { Grid } from './Grid'
import { givenAt } from './cells'

const LONGEST = 200

/** Given cells to read, asked ones to type into; Enter goes to the next that is asked. */
export default function Input({ face, value, onChange, disabled, heading }: InputProps<'table'>) {
  const cells = cellsOf(value)
  const fill = (row: number, column: number, text: string) =>
    onChange({
      cells: Array.from({ length: face.rows }, (_, r) =>
        Array.from({ length: face.columns }, (_, c) =>
          r === row - 1 && c === column - 1 ? text : (cells[r]?.[c] ?? ''),
        ),
      ),
    })
  return (
    <Grid label={`Table of ${heading}`} rows={face.rows} columns={face.columns}>
      {(row, column) => {
        const cell = face.cells.find((c) => c.row === row && c.column === column)
        if (!cell) return <span className="block min-w-16 px-3 py-2">{givenAt(face, row, column)}</span>
        const head = givenAt(face, 1, column) || `column ${column}`
        const side = givenAt(face, row, 1) || `row ${row}`
        return (
          <span className="flex items-center gap-1 p-1">
            <input
              aria-label={`${head}, ${side}`}
              className="field min-h-11 w-24 text-center"
              disabled={disabled}
              value={cells[row - 1]?.[column - 1] ?? ''}
              maxLength={LONGEST}
              autoComplete="off"
              autoCapitalize="off"
              spellCheck={false}
              enterKeyHint="next"
              onChange={(e) => fill(row, column, e.target.value)}
              onKeyDown={(e) => {
                if (e.key !== 'Enter' || e.nativeEvent.isComposing) return
                e.preventDefault()
                const all = [...(e.currentTarget.closest('table')?.querySelectorAll('input') ?? [])]
                all[all.indexOf(e.currentTarget) + 1]?.focus()
              }}
            />
            {cell.unit && cell.unitUse !== 'none' ? <span className="text-quiet">{cell.unit}</span> : null}
          </span>
        )
      }}
    </Grid>
  )
}
