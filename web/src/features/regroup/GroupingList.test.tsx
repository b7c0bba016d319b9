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

describe('Kept groupings', () => {
  it('say what they came from and what their groups were handed', async () => {
    serve({ 'GET /api/groupings': { groupings: [grouping('monday', 2), grouping('friday', 0)] } })
    show(<GroupingList />)
    const first = within(await screen.findByRole('link', { name: /After monday/ }))
    expect(first.getByText(/from “Tides”/)).toBeTruthy()
    expect(first.getByText(/3 groups, 27 students/).textContent).toContain('2 follow-ups')
    expect(screen.getByRole('link', { name: /After friday/ }).textContent).not.toContain('follow-up')
  })

  it('are archived and brought back', async () => {
    let away = false
    serve({
      'GET /api/groupings': () => ({ groupings: away ? [] : [grouping('monday', 0)] }),
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
