import { screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { Refusal, serve, serveAlso } from '@/testing/server'
import { ToRecord } from './ToRecord'

const figure = (value: number | null, n: number) => ({
  value,
  n,
  low: null,
  high: null,
  formula: 'Mean credit.',
  note: null,
})
const option = (letter: string, key: boolean, share: number) => ({
  id: letter,
  letter,
  text: letter,
  key,
  share,
  count: 1,
})
const question = {
  entry: 'e1',
  facility: figure(0.61, 54),
  itemRest: figure(0.314, 54),
  omitted: 2,
  notReached: 0,
  options: [option('A', true, 0.61), option('B', false, 0.3)],
  lines: [],
  flags: [{ kind: 'two readings', evidence: 'The key and option B are taken alike by the upper third.', option: 'B' }],
}
const use = {
  handoutId: 'h2',
  handout: 'Five-minute check',
  madeAt: '2026-11-20T09:00:00+00:00',
  edition: 2,
  classes: [
    { name: '8 Heron', facility: figure(0.7, 27) },
    { name: '8 Tern', facility: figure(null, 0) },
  ],
  question,
}

describe('The record of a question', () => {
  const open = async () => {
    const user = show(<ToRecord id="i1" title="Range of the tide" />)
    await user.click(screen.getByRole('button', { name: 'By class and edition' }))
    return user
  }

  it('tells of each time it was handed out, whole and by class, with options and flags', async () => {
    serve({ 'GET /api/items/i1/uses': { uses: [use] } })
    await open()
    const dialog = within(await screen.findByRole('dialog', { name: /Range of the tide/ }))
    const link = await dialog.findByRole('link', { name: 'Five-minute check' })
    expect(link.getAttribute('href')).toBe('/results/h2')
    const rows = dialog.getAllByRole('row').map((row) => row.textContent)
    expect(rows[1]).toContain('edition 2')
    expect(rows[1]).toContain('61 % of 54 students')
    expect(rows[1]).toContain('0.31')
    expect(rows[1]).toContain('✓ A 61 %')
    expect(rows[1]).toContain('2 left it blank')
    expect(rows[1]).toContain('two readings')
    expect(rows[2]).toContain('8 Heron')
    expect(rows[2]).toContain('70 % of 27 students')
    expect(rows[3]).toContain('not marked yet')
  })

  it('says so where nobody has sat it, and looks again after a failure', async () => {
    serve({ 'GET /api/items/i1/uses': new Refusal(500, 'Something went wrong here.', 'Try again.') })
    const user = await open()
    expect(await screen.findByText(/Something went wrong/)).toBeTruthy()
    serveAlso({ 'GET /api/items/i1/uses': { uses: [] } })
    await user.click(screen.getByRole('button', { name: /again/i }))
    expect(await screen.findByText('Nobody has handed this in yet.')).toBeTruthy()
  })
})
