import { screen } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { serve } from '@/testing/server'
import type { Paper } from './draft'
import { FollowUpForm } from './FollowUpForm'

const start: Paper = { version: 1, title: 'Tides', mastery: null, sections: [] }
let now = start

function Desk({ first }: { first: Paper }) {
  const [paper, setPaper] = useState(first)
  now = paper
  return <FollowUpForm paperId="p1" paper={paper} onChange={setPaper} />
}

const begin = (first = start) => {
  serve({
    'GET /api/bank/terms': {
      skills: [],
      misconceptions: [{ id: 'm1', name: 'Tide falls evenly' }],
      units: [],
      rungs: ['footing', 'climbing', 'clear'],
    },
    'GET /api/papers': {
      papers: [
        { id: 'p1', title: 'Tides', edition: 1 },
        { id: 'p2', title: 'A second look', edition: 1 },
        { id: 'p3', title: 'Further out', edition: null },
      ],
    },
  })
  const user = show(<Desk first={first} />)
  return {
    user,
    choose: async (field: string, option: RegExp) => {
      await user.click(screen.getByRole('combobox', { name: field }))
      await user.click(await screen.findByRole('option', { name: option }))
    },
  }
}

describe('Follow-ups of a paper', () => {
  it('are put together from who and what, and taken out again', async () => {
    const { user, choose } = begin()
    await user.click(screen.getByRole('button', { name: 'Add a follow-up' }))
    await screen.findByRole('combobox', { name: 'Who, follow-up 1' })
    await choose('Who, follow-up 1', /reached footing/)
    expect(now.followUps, 'half a line says nothing yet').toBeUndefined()
    await choose('Is handed, follow-up 1', /A second look/)
    expect(now.followUps).toEqual([{ rung: 1, paper: 'p2' }])
    await user.click(screen.getByRole('button', { name: 'Add a follow-up' }))
    await choose('Who, follow-up 2', /shows: Tide falls evenly/)
    await choose('Is handed, follow-up 2', /Further out/)
    expect(now.followUps).toEqual([
      { rung: 1, paper: 'p2' },
      { misconception: 'm1', paper: 'p3' },
    ])
    await choose('Who, follow-up 1', /reached climbing/)
    expect(now.followUps?.[0]).toEqual({ rung: 2, paper: 'p2' })
    await user.click(screen.getByRole('button', { name: 'Take out follow-up 1' }))
    await user.click(screen.getByRole('button', { name: 'Take out follow-up 1' }))
    expect(now).toEqual(start)
  })

  it('never offer the paper itself, and say which has no edition yet', async () => {
    const { user } = begin({ ...start, followUps: [{ rung: 3, paper: 'p3' }] })
    expect((await screen.findByRole('combobox', { name: 'Who, follow-up 1' })).textContent).toBe('reached clear')
    await user.click(screen.getByRole('combobox', { name: 'Is handed, follow-up 1' }))
    expect((await screen.findAllByRole('option')).map((o) => o.textContent)).toEqual([
      'is handed …',
      'A second look',
      expect.stringMatching(/Further out.*no edition yet/),
    ])
  })
})
