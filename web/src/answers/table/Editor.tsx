import { useState } from 'react'
import { Button } from '@/ui/Button'
import { Folds } from '@/ui/Folds'
import type { EditorProps } from '../kinds'
import { fieldAnswer, FieldRule } from '../parts/FieldRule'
import { replaced } from '../parts/Lines'
import { Grid } from './Grid'
import { firstOf, pasted, sized, typed, typedAt } from './cells'

const MOST = { rows: 60, columns: 30 }

/** A table typed cell by cell, or pasted from a spreadsheet; `=` in front of a cell asks students for what follows. */
export default function Editor({ rule, onChange }: EditorProps<'table'>) {
  // What is being typed stays as it is typed.
  const [at, setAt] = useState<{ row: number; column: number; text: string } | null>(null)
  return (
    <fieldset className="flex flex-col gap-3">
      <legend className="text-sm text-quiet">
        Type what is given. Begin a cell with = to ask for it, such as =3.5. A block from a spreadsheet can be pasted.
      </legend>
      <Grid label="Table" rows={rule.rows} columns={rule.columns}>
        {(row, column) => {
          const text = at?.row === row && at.column === column ? at.text : typedAt(rule, row, column)
          return (
            <input
              aria-label={`Row ${row}, column ${column}`}
              className={`in-place max-w-64 min-w-24 px-2 py-1.5 [field-sizing:content] ${text.startsWith('=') ? 'font-semibold text-rust' : ''}`}
              value={text}
              onChange={(e) => {
                setAt({ row, column, text: e.target.value })
                onChange(typed(rule, row, column, e.target.value))
              }}
              onBlur={() => setAt(null)}
              onPaste={(e) => {
                const block = e.clipboardData.getData('text/plain')
                if (!/[\t\n]/.test(block.trim())) return
                e.preventDefault()
                setAt(null)
                onChange(pasted(rule, row, column, block, MOST))
              }}
            />
          )
        }}
      </Grid>
      <div className="flex flex-wrap gap-2">
        <Button
          size="small"
          disabled={rule.rows >= MOST.rows}
          onClick={() => onChange(sized(rule, rule.rows + 1, rule.columns))}
        >
          Add a row
        </Button>
        <Button
          size="small"
          disabled={rule.columns >= MOST.columns}
          onClick={() => onChange(sized(rule, rule.rows, rule.columns + 1))}
        >
          Add a column
        </Button>
        <Button
          size="small"
          kind="quiet"
          disabled={rule.rows <= 1}
          onClick={() => onChange(sized(rule, rule.rows - 1, rule.columns))}
        >
          Take the last row out
        </Button>
        <Button
          size="small"
          kind="quiet"
          disabled={rule.columns <= 1}
          onClick={() => onChange(sized(rule, rule.rows, rule.columns - 1))}
        >
          Take the last column out
        </Button>
      </div>
      <Folds
        label="Cells that are asked"
        parts={rule.cells.map((cell, i) => ({
          id: `${cell.row}.${cell.column}`,
          head: `Row ${cell.row}, column ${cell.column}: ${firstOf(cell) || 'empty'}, ${fieldAnswer(cell.type)}`,
          body: (
            <FieldRule
              of={cell}
              onChange={(next) =>
                onChange({ ...rule, cells: replaced(rule.cells, i, { ...cell, rule: next } as typeof cell) })
              }
            />
          ),
        }))}
      />
    </fieldset>
  )
}
