import type { Schemas } from '@/lib/api/client'
import { decimal } from '@/lib/format'
import type { RuleOf } from '../kinds'

type Rule = RuleOf<'table'>
type Cell = Schemas['Cell']

// On the way to 3.5 stands 3. for a moment.
const NUMBER = /^[-−+]?\d+(?:[.,]\d*)?$/

const at = <T extends { row: number; column: number }>(of: readonly T[], row: number, column: number) =>
  of.find((c) => c.row === row && c.column === column)

export const askedAt = (rule: { cells: readonly Cell[] }, row: number, column: number) => at(rule.cells, row, column)
export const givenAt = (rule: { given: readonly Schemas['Given'][] }, row: number, column: number) =>
  at(rule.given, row, column)?.text ?? ''

/** What is right in a cell, as it is written first. */
export const firstOf = ({ rule }: Cell) =>
  'forms' in rule ? (rule.forms[0]?.text ?? '') : decimal(rule.targets[0]?.value ?? '')

/** A cell as it is typed: `=` in front asks for what follows. */
export const typedAt = (rule: Rule, row: number, column: number) => {
  const cell = askedAt(rule, row, column)
  return cell ? `=${firstOf(cell)}` : givenAt(rule, row, column)
}

/** Takes what is typed into a cell: words that are given, or after `=` what is asked for. Other forms and feedback stay. */
export function typed(rule: Rule, row: number, column: number, text: string): Rule {
  const given = rule.given.filter((c) => c.row !== row || c.column !== column)
  const cells = rule.cells.filter((c) => c.row !== row || c.column !== column)
  if (!text.startsWith('=')) return { ...rule, cells, given: text === '' ? given : [...given, { row, column, text }] }
  const answer = text.slice(1).trim()
  const before = askedAt(rule, row, column)
  return { ...rule, given, cells: [...cells, before ? rewritten(before, answer) : made(row, column, answer)] }
}

function rewritten(cell: Cell, answer: string): Cell {
  const number = NUMBER.test(answer)
  const line = { credit: '1', feedback: '', misconception: null }
  if ('forms' in cell.rule && !number) {
    const [first, ...others] = cell.rule.forms
    return { ...cell, rule: { ...cell.rule, forms: [{ ...line, ...first, text: answer }, ...others] } }
  }
  if ('targets' in cell.rule && number) {
    const [first, ...others] = cell.rule.targets
    const target = { tolerance: '0', kind: 'absolute' as const, ...line, ...first, value: plain(answer) }
    return { ...cell, rule: { ...cell.rule, targets: [target, ...others] } }
  }
  return made(cell.row, cell.column, answer)
}

const plain = (number: string) => number.replace('−', '-').replace(',', '.').replace(/\.$/, '')

const made = (row: number, column: number, answer: string): Cell =>
  NUMBER.test(answer)
    ? {
        row,
        column,
        type: 'number',
        rule: {
          targets: [
            { value: plain(answer), tolerance: '0', kind: 'absolute', credit: '1', feedback: '', misconception: null },
          ],
          unit: '',
          unitUse: 'none',
        },
      }
    : {
        row,
        column,
        type: 'text',
        rule: {
          forms: [{ text: answer, credit: '1', feedback: '', misconception: null }],
          folding: { case: true, accents: false, punctuation: true, articles: false },
          allowSlips: false,
        },
      }

/** A table of another size; what does not fit any more goes. */
export const sized = (rule: Rule, rows: number, columns: number): Rule => {
  const fits = (c: { row: number; column: number }) => c.row <= rows && c.column <= columns
  return { ...rule, rows, columns, cells: rule.cells.filter(fits), given: rule.given.filter(fits) }
}

/** What is pasted from a spreadsheet, laid from a cell on; the table grows with it. */
export function pasted(
  rule: Rule,
  row: number,
  column: number,
  text: string,
  most: { rows: number; columns: number },
): Rule {
  const lines = text
    .replace(/\r/g, '')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t'))
  const rows = Math.min(most.rows, Math.max(rule.rows, row - 1 + lines.length))
  const columns = Math.min(most.columns, Math.max(rule.columns, column - 1 + Math.max(...lines.map((l) => l.length))))
  let next = sized(rule, rows, columns)
  lines.forEach((line, i) =>
    line.forEach((words, j) => {
      if (row + i <= rows && column + j <= columns) next = typed(next, row + i, column + j, words.trim())
    }),
  )
  return next
}
