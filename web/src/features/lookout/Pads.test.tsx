import { screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { bodies, serve } from '@/testing/server'
import { Pads } from './Pads'
import { row } from './testing'

const at = '/api/handouts/h1/pads'
const pad = (name: string, student: string | null, change = {}) => ({
  pad: name,
  student,
  at: null,
  battery: null,
  low: false,
  strays: 0,
  ...change,
})
const pads = (list: unknown[], key: string | null = null, open = true) => ({ open, key, pads: list })
const rows = [row('Ada'), row('Benoît')]
const open = () => show(<Pads handoutId="h1" rows={rows} nameOf={(r) => r.name} />, '/', '/')

describe('Answer pads', () => {
  it('shows the key of a receiver once, and gives pads out by hand', async () => {
    const given = [pad('01', 'Ada'), pad('02', 'Benoît')]
    serve({
      [`GET ${at}`]: pads([], null, false),
      [`POST ${at}`]: pads(given, 'abc123'),
      [`PUT ${at}/02`]: pads([pad('01', 'Ada'), pad('02', null)]),
      [`DELETE ${at}`]: pads([pad('01', 'Ada'), pad('02', null)], null, false),
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Use answer pads …' }))
    await user.click(await screen.findByRole('button', { name: 'Listen to a receiver' }))
    expect(await screen.findByText('bin/pads h1 abc123')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Benoît has pad 02, change' }))
    await user.click(screen.getByLabelText('Who has pad 02'))
    await user.click(await screen.findByRole('option', { name: 'nobody' }))
    await waitFor(() => expect(bodies('PUT', `${at}/02`)).toEqual([{ student: null }]))
    expect(await screen.findByRole('button', { name: 'nobody has pad 02, change' })).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Stop listening' }))
    expect(await screen.findByText('No receiver is listened to.')).toBeTruthy()
    expect(screen.queryByText(/abc123/)).toBeNull()
  })

  it('says which battery is low and which pad nobody has', async () => {
    const heard = { at: '2026-11-27T10:05:00Z', battery: 0.15, low: true }
    serve({
      [`GET ${at}`]: pads([
        pad('01', 'Ada', heard),
        pad('02', 'Benoît'),
        pad('77', null, { ...heard, low: false, strays: 3 }),
      ]),
    })
    const user = open()
    expect((await screen.findByText(/1 of 2 heard/)).textContent).toBe(
      '1 of 2 heard · 1 battery low · 1 pad that nobody has',
    )
    await user.click(screen.getByRole('button', { name: 'Pads …' }))
    const stray = within(await screen.findByRole('row', { name: /^77/ }))
    expect(stray.getByText(/pressed 3 times, and nobody has it/)).toBeTruthy()
    expect(within(screen.getByRole('row', { name: /^01/ })).getByText('low')).toBeTruthy()
  })
})
