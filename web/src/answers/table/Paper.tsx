import type { PaperProps } from '../kinds'
import { Grid } from './Grid'
import { askedAt, firstOf, givenAt } from './cells'

export default function Paper({ rule, withKey }: PaperProps<'table'>) {
  return (
    <div className="mt-2">
      <Grid label="Table" rows={rule.rows} columns={rule.columns}>
        {(row, column) => {
          const cell = askedAt(rule, row, column)
          return (
            <span className="block min-h-8 min-w-20 px-2 py-1">
              {cell ? withKey ? <b>✓ {firstOf(cell)}</b> : null : givenAt(rule, row, column)}
            </span>
          )
        }}
      </Grid>
    </div>
  )
}
