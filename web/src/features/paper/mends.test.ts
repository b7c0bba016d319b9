import { describe, expect, it } from 'vitest'
import type { Paper } from './draft'
import { mendOf } from './mends'

const question = (id: string) => ({ id, kind: 'question' as const, item: 'i', points: '1' })
const paper: Paper = {
  version: 1,
  title: 't',
  mastery: null,
  sections: [
    {
      id: 's1',
      title: 'One',
      entries: [question('a'), question('b')],
      route: { exits: [{ when: 'share < 1/2', to: 's2' }], else: 's2' },
    },
    {
      id: 's2',
      title: 'Two',
      entries: [],
      route: {
        exits: [
          { when: 'share < 1', to: 's1' },
          { when: 'q1 = 0', to: 'end' },
        ],
        else: 'end',
      },
    },
  ],
}
const mend = (kind: string | null, where: string, of = paper) =>
  mendOf(of, { message: '', blocks: true, where, mend: kind })

describe('A mend in one press', () => {
  it('takes out what is gone from the bank, or a section that is empty but not the last one', () => {
    expect(mend('take out', 'a')?.paper.sections[0]?.entries.map((e) => e.id)).toEqual(['b'])
    expect(mend('take section out', 's2')?.paper.sections.map((s) => s.id)).toEqual(['s1'])
    expect(mend('take section out', 's1', { ...paper, sections: [paper.sections[0]!] })).toBeNull()
  })

  it('makes ways one that lead to the same place', () => {
    expect(mend('one way', 's1')?.paper.sections[0]?.route).toEqual({ exits: [], else: 's2' })
  })

  it('gives what leads back without end one round, and nothing else', () => {
    const next = mend('rounds', 's1')!.paper
    expect(next.sections[1]?.route?.exits).toEqual([
      { when: 'share < 1', to: 's1', rounds: 1 },
      { when: 'q1 = 0', to: 'end' },
    ])
    expect(next.sections[0]).toEqual(paper.sections[0])
    const bare = { ...paper, sections: [{ ...paper.sections[0]!, route: { exits: [], else: 's1' } }] }
    expect(mend('rounds', 's1', bare)).toBeNull()
  })

  it('is not there where its writer has to think', () => {
    expect(mend(null, 'a')).toBeNull()
  })
})
