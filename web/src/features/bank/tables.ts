import { plain, type Variable } from './domains'

/** A variable that is a table: each draw takes a row, and its columns are the names. */
export type Table = Variable & { columns: string[]; rows: string[][] }

export const isTable = (variable: Variable): variable is Table => variable.rows !== undefined

const NAME = '[a-z][a-z0-9]{0,19}'
const NAMES = `${NAME}(?:\\s*,\\s*${NAME})+`
const HEAD = new RegExp(`^\\s*(?:(${NAME})\\s*\\(\\s*(${NAMES})\\s*\\)|(${NAMES}))\\s*=\\s*(.+)$`, 'i')
const CALLED = 'values'

const cellsOf = (row: string, by: RegExp) => row.split(by).map((cell) => plain(cell.trim()))
/** A row as wide as the table: what is too much stays in its last cell, what is missing is left open. */
const fitted = (row: readonly string[], width: number) =>
  Array.from({ length: width }, (_, i) => (i < width - 1 ? (row[i] ?? '') : row.slice(i).join(', ')))

/** One row as it is typed or pasted: `Brindle, 2.4`. */
export const readRow = (line: string, width: number) =>
  fitted(cellsOf(line, line.includes('\t') ? /\t/ : /,\s+|;/), width)

/** `vessel(ship, draught) = Brindle, 2.4; Lapwing, 1.8`; null where it is none. */
export function readTable(line: string): Table | null {
  const [, name, named, bare, rows = ''] = HEAD.exec(line) ?? []
  const head = named ?? bare
  if (!head) return null
  const columns = head.split(',').map((column) => column.trim().toLowerCase())
  return {
    name: (name ?? CALLED).toLowerCase(),
    columns,
    rows: rows
      .split(';')
      .filter((row) => row.trim() !== '')
      .map((row) => fitted(cellsOf(row, /,\s+/), columns.length)),
  }
}

/** A block from a spreadsheet, its headings in the first row; null where it is none. */
export function pastedTable(text: string): Table | null {
  const [head, ...rows] = text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .map((line) => cellsOf(line, /\t/))
  if (!head || head.length < 2 || rows.length === 0) return null
  const columns = head.map((name, i) => nameFrom(name) || `column${i + 1}`)
  return { name: CALLED, columns, rows: rows.map((row) => fitted(row, columns.length)) }
}

/** A name that formulas can use, from a heading: `Draught (m)` is `draughtm`. */
export const nameFrom = (heading: string) =>
  heading
    .toLowerCase()
    .replace(/[^a-z0-9]/g, '')
    .replace(/^\d+/, '')
    .slice(0, 20)
