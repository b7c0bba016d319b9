import { describe, expect, it } from 'vitest'
import { nameFrom, pastedTable, readRow, readTable } from './tables'

describe('A table of values', () => {
  it('is read as it is typed, with a name or without', () => {
    expect(readTable('Vessel (ship, draught) = Brindle, 2.4; Lapwing, 1.8')).toEqual({
      name: 'vessel',
      columns: ['ship', 'draught'],
      rows: [
        ['Brindle', '2.4'],
        ['Lapwing', '1.8'],
      ],
    })
    expect(readTable('ship, draught = Brindle, −2,4;')).toEqual({
      name: 'values',
      columns: ['ship', 'draught'],
      rows: [['Brindle', '-2.4']],
    })
    expect(readTable('h = 2, 3')).toBeNull()
    expect(readTable('h = l + r')).toBeNull()
  })

  it('is as wide as its columns, whatever a row holds', () => {
    expect(readRow('Brindle', 2)).toEqual(['Brindle', ''])
    expect(readRow('Brindle; 2,4', 2)).toEqual(['Brindle', '2.4'])
    expect(readRow('Brindle, 2.4, more', 2)).toEqual(['Brindle', '2.4, more'])
    expect(readRow('Brindle\t2.4', 2)).toEqual(['Brindle', '2.4'])
  })

  it('comes out of a spreadsheet, its headings made into names', () => {
    expect(pastedTable('Ship\tDraught (m)\t2nd\r\nBrindle\t2,4\tx\r\nLapwing\t1.8\r\n')).toEqual({
      name: 'values',
      columns: ['ship', 'draughtm', 'nd'],
      rows: [
        ['Brindle', '2.4', 'x'],
        ['Lapwing', '1.8', ''],
      ],
    })
    expect(pastedTable('one\ntwo')).toBeNull()
    expect(pastedTable('a\tb')).toBeNull()
    expect(nameFrom('3 Ünits')).toBe('nits')
  })
})
