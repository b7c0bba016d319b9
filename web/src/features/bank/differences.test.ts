import { describe, expect, it } from 'vitest'
import type { Item } from '@/answers/kinds'
import { blankItem } from '@/answers/registry'
import { differences, wordsApart } from './differences'

const named = (id: string | null) => ({ k1: 'Bearings', m1: 'adds' })[id ?? ''] ?? '?'
const shown = (pieces: { text: string; changed: boolean }[]) =>
  pieces.map((p) => (p.changed ? `[${p.text}]` : p.text)).join('')

describe('Two versions of a question', () => {
  const number = (change: Partial<Item> = {}): Item =>
    ({ ...blankItem('number'), title: 'Tide', prompt: '<p>How deep is it?</p>', ...change }) as Item

  it('differ in the parts that say something else, word by word', () => {
    const now = number({ prompt: '<p>How deep is it at noon?</p>', points: '2', skill: 'k1' })
    expect(differences(number(), now, named).map((d) => [d.part, shown(d.then), shown(d.now)])).toEqual([
      ['Question', 'How deep is [it?]', 'How deep is [it at noon?]'],
      ['Marks', '[1 mark]', '[2 marks]'],
      ['Skill', '', '[Bearings]'],
    ])
  })

  it('tell credit, words to the student and ideas of a line', () => {
    const line = { value: '3', tolerance: '0', kind: 'absolute', credit: '1', feedback: '', misconception: null }
    const withLine = (change: object) =>
      number({ rule: { targets: [{ ...line, ...change }], unit: 'm', unitUse: 'optional' } } as Partial<Item>)
    const [found] = differences(withLine({}), withLine({ feedback: 'Well read.', misconception: 'm1' }), named)
    expect(found?.part).toBe('Answers')
    expect(shown(found?.now ?? [])).toContain('! Well read. # adds')
  })

  it('differ where no words tell it', () => {
    const text = (allowSlips: boolean) => {
      const blank = blankItem('text') as Extract<Item, { type: 'text' }>
      return { ...blank, rule: { ...blank.rule, allowSlips } }
    }
    expect(differences(text(true), text(false), named).map((d) => d.part)).toEqual(['The answer rule otherwise'])
    expect(differences(text(true), text(true), named)).toEqual([])
  })
})

it('texts come apart at the words that stand in one of them alone', () => {
  const { then, now } = wordsApart('the tide falls fast', 'the tide then falls')
  expect([shown(then), shown(now)]).toEqual(['the tide falls [fast]', 'the tide [then ]falls'])
  const long = 'word '.repeat(700)
  expect(wordsApart(long, `${long}x`).now).toEqual([{ text: `${long}x`, changed: true }])
})
