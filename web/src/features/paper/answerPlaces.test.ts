import { describe, expect, it } from 'vitest'
import {
  asNotes as notesOf,
  faultOf,
  freshPlace,
  inReadingOrder,
  pagesToDrawOn,
  type AnswerPlace,
} from './answerPlaces'

const place = (change: Partial<AnswerPlace> = {}): AnswerPlace => ({
  ...freshPlace({ x: 500, y: 500, page: 1 }),
  id: 'a',
  key: 'ebb',
  ...change,
})

const asNotes = (places: AnswerPlace[], title: string, from: number) => notesOf(places, title, from, new Map())

describe('Answer places', () => {
  it('become notes that say what is right, in each way of asking', () => {
    expect(asNotes([place(), place({ key: ' 3.65 ± 0.05 m ', marks: '2' })], 'Old sheet', 4)).toBe(
      'title: Old sheet, 4\nAnswer where the mark stands on the sheet. [1]\n= ebb\n\n' +
        'title: Old sheet, 5\nAnswer where the mark stands on the sheet. [2]\n= 3.65 ± 0.05 m',
    )
    expect(asNotes([place({ way: 'pick', letters: 3, key: 'B' })], '', 1)).toBe(
      'title: Sheet, 1\nAnswer where the mark stands on the sheet. [1]\nx A\nv B\nx C',
    )
    expect(asNotes([place({ way: 'tick', key: 'no' })], '', 1)).toContain('x ticked\nv left empty')
    const drawn = JSON.parse(asNotes([place({ way: 'draw', marks: '3' })], '', 1).replace('document: ', ''))
    expect([drawn.type, drawn.points, drawn.rule.criteria[0].levels.length]).toEqual(['working', '3', 2])
    expect(JSON.parse(asNotes([place({ way: 'explain' })], '', 1).replace('document: ', '')).type).toBe('open')
  })

  it('are drawn on the page itself, each page fetched once', () => {
    const places = [
      place({ way: 'draw', page: 2 }),
      place({ way: 'draw', page: 2, id: 'b' }),
      place({ way: 'explain', page: 3 }),
    ]
    expect(pagesToDrawOn(places)).toEqual([2])
    const page = { file: 'p2', width: 700, height: 990, alt: 'Page 2' }
    const rules = notesOf(places, '', 1, new Map([[2, page]]))
      .split('\n\n')
      .map((note) => JSON.parse(note.replace('document: ', '')).rule)
    expect(rules.map((rule) => [rule.ground, rule.picture])).toEqual([
      ['picture', page],
      ['picture', page],
      [undefined, undefined],
    ])
  })

  it('are in the order in which a sheet is read', () => {
    const at = (id: string, page: number, x: number, y: number) => place({ id, page, x, y })
    const order = inReadingOrder([
      at('below', 1, 100, 400),
      at('over', 2, 1, 1),
      at('right', 1, 800, 201),
      at('left', 1, 200, 205),
    ])
    expect(order.map((p) => p.id)).toEqual(['left', 'right', 'below', 'over'])
  })

  it('say what is missing', () => {
    expect(faultOf(place({ key: '  ' }))).toBe('Say what is right here.')
    expect(faultOf(place({ way: 'pick', key: '' }))).toBe('Say which letter is right.')
    expect(faultOf(place({ way: 'pick', letters: 2, key: 'C' }))).toBe('Say which letter is right.')
    expect(
      ['tick', 'draw', 'explain'].map((way) => faultOf(place({ way: way as AnswerPlace['way'], key: 'yes' }))),
    ).toEqual(['', '', ''])
  })

  it('are of the kind of the one before', () => {
    const next = freshPlace({ x: 1, y: 2, page: 3 }, place({ way: 'pick', letters: 5, key: 'E', marks: '2' }))
    expect(next).toMatchObject({ x: 1, y: 2, page: 3, way: 'pick', letters: 5, key: '', marks: '2' })
  })
})
