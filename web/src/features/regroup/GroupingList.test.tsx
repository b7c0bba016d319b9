import { screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { sent, serve } from '@/testing/server'
import GroupingList from './GroupingList'

const grouping = (id: string, followUps: number) => ({
  id,
  name: `After ${id}`,
  aim: 'misconception',
  handout: 'Tides',
  groups: 3,
  students: 27,
  followUps,
  madeAt: '2026-11-02T09:00:00Z',
})

const whole = {
  groups: [
    {
      id: 'a',
      name: 'Adds instead',
      members: [{ name: 'Ada' }, { name: 'Cleo' }],
      handouts: [{ id: 'f1', title: 'Second look' }],
    },
  ],
}

describe('Kept groupings', () => {
  it('say what they came from and what their groups were handed', async () => {
    serve({
      'GET /api/groupings': { groupings: [grouping('monday', 2), grouping('friday', 0)] },
      'GET /api/groupings/monday': whole,
    })
    show(<GroupingList />)
    const cells = (name: RegExp) =>
      within(screen.getByRole('row', { name }))
        .getAllByRole('cell')
        .slice(0, 4)
        .map((c) => c.textContent)
    await screen.findByRole('link', { name: 'After monday' })
    expect(cells(/After monday/)).toEqual(['by misconception', '3', '27', '2'])
    expect(cells(/After friday/)).toEqual(['by misconception', '3', '27', '0'])
    const aside = within(screen.getByRole('region', { name: 'The chosen one' }))
    expect(aside.getByText(/from “Tides” · 2 follow-ups/)).toBeTruthy()
    expect(await aside.findByText('Ada, Cleo')).toBeTruthy()
    expect(aside.getByRole('link', { name: 'Second look' }).getAttribute('href')).toBe('/lookout/f1')
  })

  it('are archived and brought back', async () => {
    let away = false
    serve({
      'GET /api/groupings': () => ({ groupings: away ? [] : [grouping('monday', 0)] }),
      'GET /api/groupings/monday': whole,
      'DELETE /api/groupings/monday': () => {
        away = true
        return null
      },
      'POST /api/groupings/monday/restore': () => {
        away = false
        return null
      },
    })
    const user = show(<GroupingList />)
    await user.click(await screen.findByRole('button', { name: 'Archive After monday' }))
    expect(await screen.findByText('No grouping is kept yet')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(screen.getByRole('link', { name: /After monday/ })).toBeTruthy())
    expect(sent('DELETE', '/api/groupings/monday')).toHaveLength(1)
  })

  it('tell the way to the first one', async () => {
    serve({ 'GET /api/groupings': { groupings: [] } })
    show(<GroupingList />)
    expect((await screen.findByRole('link', { name: 'To the results' })).getAttribute('href')).toBe('/results')
  })
})
