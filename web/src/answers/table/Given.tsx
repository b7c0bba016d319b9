import type { GivenProps } from '../kinds'
import { Nothing } from '../parts/Nothing'
import { cellsOf, isBlank } from '../parts/values'
import { Grid } from './Grid'
import { givenAt } from './cells'

export default function Given({ face, value }: GivenProps<'table'>) {
  const cells = cellsOf(value)
  if (isBlank(value)) return <Nothing />
  return (
    <Grid label="The table as it was filled in" rows={face.rows} columns={face.columns}>
      {(row, column) => (
        <span className="block min-w-14 px-2 py-1">
          {face.cells.some((c) => c.row === row && c.column === column) ? (
            <b>{cells[row - 1]?.[column - 1] || '–'}</b>
          ) : (
            givenAt(face, row, column)
          )}
        </span>
      )}
    </Grid>
  )
}
