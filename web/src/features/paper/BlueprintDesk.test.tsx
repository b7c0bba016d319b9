import { screen, within } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { pickFrom, show } from '@/testing/page'
import { serve } from '@/testing/server'
import { BlueprintDesk } from './BlueprintDesk'
import type { Paper } from './draft'

const question = (id: string, item: string, points: string) => ({ id, kind: 'question' as const, item, points })
const start: Paper = {
  version: 1,
  title: 'Tides',
  mastery: null,
  sections: [{ id: 's1', title: 'One', entries: [question('a', 'i1', '2'), question('b', 'i2', '1')], route: null }],
  plan: [{ skill: 'tides', marks: '5' }],
}
const row = (change: Partial<Schemas['PaperBlueprintRowView']>): Schemas['PaperBlueprintRowView'] => ({
  skill: null,
  entries: [],
  marks: '0',
  wanted: null,
  facility: null,
  known: 0,
  seconds: 0,
  thin: [],
  ...change,
})
const counted = {
  rows: [
    row({
      skill: 'tides',
      entries: ['a'],
      marks: '2',
      wanted: '5',
      facility: 0.61,
      known: 1,
      seconds: 60,
      thin: ['3 marks of 5 still to come.'],
    }),
    row({ entries: ['b'], marks: '1', seconds: 30 }),
  ],
  whole: row({ entries: ['a', 'b'], marks: '3', wanted: '5', facility: 0.61, known: 1, seconds: 90 }),
}
const item = (id: string, title: string) => ({
  id,
  title,
  type: 'number',
  points: '2',
  facility: id === 'i9' ? 0.4 : null,
  students: 84,
})
let now: Paper
const taken: string[] = []
function Page() {
  const [paper, setPaper] = useState(start)
  now = paper
  return (
    <BlueprintDesk
      paperId="p1"
      paper={paper}
      view={{ version: 1, items: { i1: { title: 'Low water' }, i2: { title: 'Range' } } } as never}
      onChange={setPaper}
      onTake={(rows) => taken.push(...rows.map((r) => r.id))}
    />
  )
}
const open = () => {
  serve({
    'GET /api/papers/p1/blueprint': counted,
    'GET /api/bank/terms': {
      skills: [
        { id: 'tides', name: 'Heights of tide' },
        { id: 'scale', name: 'Chart scale' },
      ],
      misconceptions: [],
    },
    'GET /api/items': { items: [item('i1', 'Low water'), item('i9', 'Under the keel')], total: 2 },
  })
  return show(<Page />)
}

describe('The blueprint', () => {
  it('says of each skill what is asked, planned, expected and thin', async () => {
    open()
    const line = await screen.findByRole('row', { name: /Heights of tide/ })
    expect(line.textContent).toContain('3 marks of 5 still to come.')
    expect(
      within(line)
        .getAllByRole('cell')
        .map((c) => c.textContent),
    ).toEqual(['1', '2', 'Marks planned for Heights of tide', '61 %', '1 min'])
    expect(screen.getByRole('row', { name: /No skill named/ }).textContent).toContain('not known')
    expect(screen.getByText(/expected to reach 61 % of the marks \(1 of 2 questions have a record\)/)).toBeTruthy()
  })

  it('is planned where it stands; what is no number changes nothing, and an emptied field keeps its line', async () => {
    const user = open()
    const field = await screen.findByLabelText('Marks planned for Heights of tide')
    await user.clear(field)
    expect(now.plan).toEqual([{ skill: 'tides', marks: '0' }])
    await user.type(field, '7x')
    expect(now.plan).toEqual([{ skill: 'tides', marks: '7' }])
    await pickFrom(user, screen.getByLabelText('Plan a further skill'), 'Chart scale')
    expect(now.plan).toEqual([
      { skill: 'tides', marks: '7' },
      { skill: 'scale', marks: '2' },
    ])
    expect(screen.getByRole('heading', { name: 'Chart scale' })).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Take it out of the plan' }))
    await user.click(screen.getByRole('button', { name: 'Heights of tide' }))
    await user.click(screen.getByRole('button', { name: 'Take it out of the plan' }))
    expect(now).not.toHaveProperty('plan')
  })

  it('offers what would fill a skill, and not what is in the paper', async () => {
    const user = open()
    const take = await screen.findByRole('button', { name: 'Take Under the keel' })
    expect(screen.queryByRole('button', { name: 'Take Low water' })).toBeNull()
    expect(screen.getByText(/40 % of 84/)).toBeTruthy()
    await user.click(take)
    expect(taken).toEqual(['i9'])
  })
})
