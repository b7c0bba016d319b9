import { screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { pickFrom, show } from '@/testing/page'
import { bodies, Refusal, serve, serveAlso } from '@/testing/server'
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
    serve({ 'GET /api/items/i1/uses': { uses: [use], rooms: [] } })
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
    serveAlso({ 'GET /api/items/i1/uses': { uses: [], rooms: [] } })
    await user.click(screen.getByRole('button', { name: /again/i }))
    expect(await screen.findByText('Nobody has handed this in yet.')).toBeTruthy()
  })

  it('says what two counts in the room said, on devices and by raised hands', async () => {
    const room = { handoutId: 'h5', handout: 'In the room: Range', madeAt: '2026-11-20T09:00:00+00:00' }
    serve({
      'GET /api/items/i1/uses': {
        uses: [],
        rooms: [
          { ...room, byHands: true, firstRight: 9, first: 24, nowRight: null, now: null },
          { ...room, handoutId: 'h6', byHands: false, firstRight: 6, first: 24, nowRight: 18, now: 24 },
        ],
      },
    })
    await open()
    const rows = (await screen.findAllByRole('row')).slice(1).map((r) => r.textContent)
    expect(rows[0]).toMatch(/raised hands9 of 24, 38 %not counted$/)
    expect(rows[1]).toMatch(/those in both counts6 of 24, 25 %18 of 24, 75 %$/)
  })
})

describe('A question to the room', () => {
  it('is asked of a class, once, and leads to its lesson', async () => {
    serve({
      'GET /api/classes': { classes: [{ id: 'c1', name: '8 Heron', code: 'A', students: 27 }] },
      'POST /api/room-questions': { handoutId: 'h9', entry: 'e1' },
    })
    const user = show(<ToRecord id="i1" title="Range of the tide" />)
    await user.click(screen.getByRole('button', { name: 'Ask the room' }))
    const dialog = within(await screen.findByRole('dialog', { name: 'Ask “Range of the tide” in class' }))
    await user.click(dialog.getByRole('button', { name: 'Ask the room' }))
    expect(await dialog.findByText('✕ Choose a class.')).toBeTruthy()
    await pickFrom(user, dialog.getByLabelText('Class'), '8 Heron, 27 students')
    await user.click(dialog.getByRole('button', { name: 'Ask the room' }))
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/lookout/h9/e1'))
    expect(bodies('POST', '/api/room-questions')).toMatchObject([{ itemId: 'i1', classId: 'c1' }])
  })
})
