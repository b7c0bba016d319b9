import { describe, expect, it } from 'vitest'
import { firstOf, linesOf, read, written } from './written'

const empty = { passage: '', gaps: [] }
const words = 'After high water comes the [ebb].\nIt falls [3.1 m] in [6] hours.'

describe('A passage with gaps', () => {
  it('is read as it is written: words and numbers, with their units', () => {
    const rule = read(words, empty)
    expect(rule.passage).toBe('After high water comes the [g1].\nIt falls [g2] in [g3] hours.')
    expect(rule.gaps.map((g) => [g.id, g.type, firstOf(g)])).toEqual([
      ['g1', 'text', 'ebb'],
      ['g2', 'number', '3.1 m'],
      ['g3', 'number', '6'],
    ])
    expect(written(rule)).toBe(words)
  })

  it('keeps what was said of a gap while its words are typed, and while others come before it', () => {
    const rule = read(words, empty)
    const [first] = rule.gaps
    if (!first || !('forms' in first.rule)) throw new Error('a text gap')
    first.rule.forms[0]!.feedback = 'Falling water.'
    const typed = read(words.replace('[ebb]', '[ebb tide]'), rule)
    expect(typed.gaps[0]).toMatchObject({
      id: 'g1',
      rule: { forms: [{ text: 'ebb tide', feedback: 'Falling water.' }] },
    })
    const wider = read(words.replace('[6]', '[7]'), {
      ...rule,
      gaps: rule.gaps.map((g) =>
        g.id === 'g3' && 'targets' in g.rule
          ? { ...g, rule: { ...g.rule, targets: g.rule.targets.map((t) => ({ ...t, tolerance: '0.5' })) } }
          : g,
      ),
    })
    expect(wider.gaps[2]).toMatchObject({ id: 'g3', rule: { targets: [{ value: '7', tolerance: '0.5' }] } })
    const more = read(`A [new] one. ${written(typed)}`, typed)
    expect(more.gaps.map((g) => g.id)).toEqual(['g4', 'g1', 'g2', 'g3'])
    expect(more.gaps[1]).toMatchObject({ rule: { forms: [{ feedback: 'Falling water.' }] } })
  })

  it('loses a gap whose brackets are taken away, and no other', () => {
    const rule = read(words, empty)
    expect(read(words.replace('[3.1 m]', '3.1 m'), rule).gaps.map((g) => g.id)).toEqual(['g1', 'g3'])
  })

  it('is drawn line by line, and without a passage gap by gap', () => {
    const rule = read('The [ebb] falls.', empty)
    expect(linesOf(rule.passage, rule.gaps)).toEqual([[{ text: 'The ' }, { gap: 'g1' }, { text: ' falls.' }]])
    expect(linesOf('', [{ id: 'g1' }, { id: 'g2' }])).toEqual([[{ gap: 'g1' }], [{ gap: 'g2' }]])
    expect(linesOf('A [note] of [g1].', [{ id: 'g1' }])).toEqual([
      [{ text: 'A ' }, { text: '[note]' }, { text: ' of ' }, { gap: 'g1' }, { text: '.' }],
    ])
  })
})
