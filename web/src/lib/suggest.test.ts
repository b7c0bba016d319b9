import { expect, it } from 'vitest'
import { FUNCTIONS, suggested, taken } from './suggest'

const names = [{ name: 'draught', says: 'a variable' }, { name: 'd', says: 'a variable' }, ...FUNCTIONS]
const offered = (text: string, caret = text.length) => suggested(text, caret, names).options.map((o) => o.name)

it('a word that begins as names do is offered them, at the caret', () => {
  expect(offered('= 1.5 + dr')).toEqual(['draught'])
  expect(offered('= ro + d', 4)).toEqual(['round'])
  expect(offered('= D')).toEqual(['draught', 'd', 'distance'])
  expect(offered('= d')).toEqual(['draught', 'distance'])
  expect(offered('= 3')).toEqual([])
  expect(offered('')).toEqual([])
})

it('what is taken stands in place of what was typed of it', () => {
  const { from, options } = suggested('= h - dr * 2', 8, names)
  expect(taken('= h - dr * 2', from, 8, options[0]!)).toEqual({ text: '= h - draught * 2', caret: 13 })
  const round = suggested('= ro', 4, names)
  expect(taken('= ro', round.from, 4, round.options[0]!)).toEqual({ text: '= round(', caret: 8 })
  expect(taken('= ro(h)', round.from, 4, round.options[0]!)).toEqual({ text: '= round(h)', caret: 7 })
})
