import { describe, expect, it } from 'vitest'
import { pasted, sized, typed, typedAt } from './cells'

const empty = { rows: 2, columns: 2, cells: [], given: [] }

describe('A table that is typed', () => {
  it('gives words, and asks for what follows a sign of equality', () => {
    const rule = typed(typed(typed(empty, 1, 1, 'Hour'), 1, 2, '=3,5'), 2, 2, '=ebb')
    expect(rule.given).toEqual([{ row: 1, column: 1, text: 'Hour' }])
    expect(rule.cells.map((c) => [c.row, c.column, c.type])).toEqual([
      [1, 2, 'number'],
      [2, 2, 'text'],
    ])
    expect([typedAt(rule, 1, 1), typedAt(rule, 1, 2), typedAt(rule, 2, 1)]).toEqual(['Hour', '=3.5', ''])
  })

  it('keeps what else a cell takes while its first answer is typed, and loses it when nothing is asked', () => {
    const rule = typed(empty, 1, 1, '=ebb')
    const [cell] = rule.cells
    if (!cell || !('forms' in cell.rule)) throw new Error('a text cell')
    cell.rule.forms.push({ text: 'falling', credit: '1/2', feedback: '', misconception: null })
    expect(typed(rule, 1, 1, '=ebb tide').cells[0]).toMatchObject({
      rule: { forms: [{ text: 'ebb tide' }, { text: 'falling' }] },
    })
    expect(typed(rule, 1, 1, '').cells).toEqual([])
  })

  it('keeps a tolerance while a number is typed sign by sign', () => {
    const rule = typed(empty, 1, 1, '=3.5')
    const [cell] = rule.cells
    if (!cell || !('targets' in cell.rule)) throw new Error('a number cell')
    cell.rule.targets[0]!.tolerance = '0.1'
    const after = ['=3.', '=3.6'].reduce((r, text) => typed(r, 1, 1, text), rule)
    expect(after.cells[0]).toMatchObject({ type: 'number', rule: { targets: [{ value: '3.6', tolerance: '0.1' }] } })
  })

  it('takes a block from a spreadsheet and grows with it, within its bounds', () => {
    const rule = pasted(empty, 2, 1, 'a\tb\tc\n1\t=2\t3\n', { rows: 60, columns: 30 })
    expect([rule.rows, rule.columns]).toEqual([3, 3])
    expect(typedAt(rule, 3, 2)).toBe('=2')
    expect(pasted(empty, 1, 1, 'a\tb\tc', { rows: 2, columns: 2 }).columns).toBe(2)
  })

  it('drops what does not fit a smaller size', () => {
    expect(sized(typed(empty, 2, 2, '=1'), 1, 2).cells).toEqual([])
  })
})
