import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { firstOf } from './cells'

export const table: Kind<'table'> = {
  name: 'table',
  answer: 'filled into a table',
  blank: () => ({ rows: 3, columns: 3, cells: [], given: [] }),
  face: ({ rows, columns, given, cells }) => ({
    rows,
    columns,
    given,
    cells: cells.map(({ row, column, type, rule }) => ({
      row,
      column,
      type,
      ...('targets' in rule ? { unit: rule.unit, unitUse: rule.unitUse } : {}),
    })),
  }),
  keyLines: (rule) =>
    rule.cells.map((cell) => ({
      line: `r${cell.row}c${cell.column}`,
      mark: `${cell.row}, ${cell.column}`,
      text: firstOf(cell),
      rich: false,
      credit: '1',
      isKey: true,
      misconception: null,
      feedback: '',
      shown: false,
    })),
  criteria: () => [],
  byHand: false,
  accepting: {
    says: 'In each cell that earned less, everyone who wrote the same gets the same credit, now and later.',
    inPart: true,
  },
  asked: (rule) =>
    rule.cells.map(({ row, column, type }) => ({
      name: `table.r${row}c${column}`,
      says: `row ${row}, column ${column}`,
      kind: type === 'number' ? 'number' : 'words',
    })),
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('./Given')),
  Paper: part(() => import('./Paper')),
}
