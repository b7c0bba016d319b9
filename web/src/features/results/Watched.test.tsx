import { screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { Refusal, serve } from '@/testing/server'
import { Watched } from './Watched'

const through: Schemas['ResultsFigureView'] = {
  value: 0.5,
  n: 2,
  low: 0.1,
  high: 0.9,
  formula: 'Nine tenths.',
  note: 'few',
}
const source: Schemas['ResultsWatchedView'] = {
  file: 'f1',
  title: 'The tide pole',
  kind: 'film',
  seconds: 2.5,
  part: 1,
  shares: [1, 0.5, 0],
  times: [3, 1, 0],
  through,
  again: [{ from: 0, to: 1, times: 3 }],
  students: [
    { studentId: 's1', name: 'Ada', share: 1, times: 1.8, until: 2.5 },
    { studentId: 's2', name: 'Bo', share: 0, times: 0, until: 0 },
  ],
}
const open = (sources: Schemas['ResultsWatchedView'][]) => {
  serve({ 'GET /api/handouts/h1/results/watched?class=8%20Tern': { sources } })
  return show(<Watched id="h1" group="8 Tern" />)
}

describe('What was watched', () => {
  it('says who played how much, the least first, and what was played again', async () => {
    const user = open([source])
    const here = within(await screen.findByRole('region', { name: 'The tide pole' }))
    expect(here.getByText(/Played through by/).textContent).toBe(
      'Played through by 1 of 2; again most: 0:00–0:01, 3.0 times.',
    )
    const rows = within(here.getByRole('table', { name: /Who has played/ })).getAllByRole('row')
    expect(rows.slice(1).map((row) => row.textContent)).toEqual(['Bonothing0.0–', 'Ada100 %1.80:02'])
    await user.click(here.getByRole('button', { name: 'The same as a table' }))
    const parts = within(here.getByRole('table', { name: /Parts of/ })).getAllByRole('row')
    expect(parts.slice(1).map((row) => row.textContent)).toEqual(['0:0023.0', '0:0111.0', '0:020–'])
  })

  it('says that nobody has played anything, and nothing where there is nothing to play', async () => {
    open([{ ...source, seconds: 0, shares: [], times: [], again: [], through: { ...through, value: null } }])
    await screen.findByText(/None of 2 students has played any of it/)
    expect(screen.queryByRole('img')).toBeNull()
  })

  it('says what failed', async () => {
    serve({ 'GET /api/handouts/h1/results/watched?class=8%20Tern': new Refusal(503, 'The server is busy.') })
    show(<Watched id="h1" group="8 Tern" />)
    await screen.findByText(/The server is busy/)
    expect(screen.getByRole('button', { name: /again/ })).toBeTruthy()
  })
})
