import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { bodies, sent, serve } from '@/testing/server'
import { Climb } from './Climb'
import { row, wall } from './testing'
import Wall from './Wall'

const at = '/api/handouts/h1/climb'
const team = (name: string, students: string[], rungs = 0, past: number | null = null) => ({
  name,
  students,
  here: students.length,
  rungs,
  past,
})
const climb = (state: string, teams: unknown[] = [], tells = false) => ({ state, length: 9, teams, tells })
const rows = [row('Ada'), row('Benoît'), row('Cleo')]
const open = () => show(<Climb handoutId="h1" rows={rows} nameOf={(r) => r.name} />, '/', '/')

beforeEach(() => {
  vi.stubGlobal(
    'EventSource',
    class {
      close() {}
    },
  )
})

describe('A team climb', () => {
  it('draws teams, moves a student by hand and lets them climb', async () => {
    serve({
      [`GET ${at}`]: climb('none', [], true),
      [`POST ${at}/draw`]: climb('drawn', [team('Keel', ['Ada', 'Cleo'], 0, 0.51), team('Oar', ['Benoît'], 0, 0.5)]),
      [`PUT ${at}`]: climb('on', [team('Keel', ['Ada'], 4.74), team('Oar', ['Benoît', 'Cleo'], 1)]),
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: /Let teams climb/ }))
    const keel = within(await screen.findByRole('region', { name: 'Keel' }))
    expect(keel.getByText(/51 % of the marks in earlier work/)).toBeTruthy()
    expect(screen.getByText(/can tell that an answer was right before/)).toBeTruthy()
    await user.click(keel.getByRole('button', { name: /^Cleo/ }))
    await user.click(await screen.findByRole('menuitem', { name: 'Oar' }))
    await user.click(screen.getByRole('button', { name: 'Let them climb' }))
    expect(bodies('PUT', at)).toEqual([
      {
        teams: [
          { name: 'Keel', students: ['Ada'] },
          { name: 'Oar', students: ['Benoît', 'Cleo'] },
        ],
      },
    ])
    expect((await screen.findByRole('row', { name: /Keel/ })).textContent).toContain('4.7 rungs')
    expect(screen.getByRole('row', { name: /Oar/ }).textContent).toContain('1 rung')
  })

  it('is stopped with a way back to the same teams', async () => {
    const teams = [team('Keel', ['Ada']), team('Oar', ['Benoît'])]
    serve({
      [`GET ${at}`]: climb('on', teams),
      [`DELETE ${at}`]: climb('stopped', teams),
      [`PUT ${at}`]: climb('on', teams),
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Stop the climb' }))
    expect(await screen.findByRole('button', { name: /Let teams climb/ })).toBeTruthy()
    await user.click(await screen.findByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(sent('PUT', at)).toHaveLength(1))
    expect(bodies('PUT', at)).toEqual([{ teams: teams.map(({ name, students }) => ({ name, students })) }])
  })

  it('stands on the wall until a question is shown there', async () => {
    const teams = [
      { name: 'Keel', rungs: 2.5 },
      { name: 'Oar', rungs: 0 },
    ]
    serve({ 'GET /api/handouts/h1/wall': wall({ climb: { length: 9, teams } }) })
    show(<Wall />, '/wall/h1', '/wall/:id')
    const list = within(await screen.findByRole('list', { name: 'Teams that climb, of 9 rungs' }))
    expect(list.getAllByRole('listitem').map((li) => li.textContent)).toEqual(['Keel2.5 rungs', 'Oar0 rungs'])
    // As many rungs are reached as are whole.
    expect(document.querySelectorAll('.wall-reached')).toHaveLength(2)
  })
})
