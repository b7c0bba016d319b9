import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import ClassDesk from './ClassDesk'

const roster = (...names: string[]) => ({
  id: 'c1',
  name: '8 Kestrel',
  code: 'WPWLP',
  students: names.map((name) => ({ id: name, name, joinedAt: '2026-09-01T08:00:00Z' })),
})
let here: string[]
const base = () => ({
  'GET /api/classes/c1': () => roster(...here),
  'POST /api/classes/c1/roster/preview': {
    adds: 1,
    lines: [
      { line: 1, name: 'Dee Fox', fate: 'add', note: '' },
      { line: 2, name: 'dee fox', fate: 'double', note: 'The same as line 1.' },
      { line: 3, name: '123', fate: 'fault', note: 'No letter in it.' },
    ],
  },
  'POST /api/classes/c1/roster': () => {
    here = [...here, 'Dee Fox']
    return roster(...here)
  },
})
const open = () => show(<ClassDesk />, '/classes/c1', '/classes/:id')

beforeEach(() => {
  here = ['Ada Okafor', 'Benoît Larsen']
  serve(base())
})

describe('A roster', () => {
  it('shows what becomes of each line before anybody is added', async () => {
    const user = open()
    await screen.findByText('Ada Okafor')
    await user.keyboard('a')
    const dialog = within(await screen.findByRole('dialog'))
    await user.type(dialog.getByLabelText('Names, one a line, or CSV'), 'Dee Fox{Enter}dee fox{Enter}123')
    await user.click(dialog.getByRole('button', { name: 'Look at the list' }))
    expect(await dialog.findByText('✓ will be added')).toBeTruthy()
    expect(dialog.getByText('○ double · The same as line 1.')).toBeTruthy()
    expect(dialog.getByText('✕ cannot be read · No letter in it.')).toBeTruthy()
    expect(sent('POST', '/api/classes/c1/roster')).toEqual([])
    await user.click(dialog.getByRole('button', { name: 'Add 1 student' }))
    expect(await screen.findByText('Dee Fox')).toBeTruthy()
    expect(bodies('POST', '/api/classes/c1/roster')).toMatchObject([{ text: 'Dee Fox\ndee fox\n123' }])
  })

  it('gives a student another name, which can be taken back, and keeps what was typed when refused', async () => {
    const path = '/api/classes/c1/students/Ada%20Okafor'
    serve({ ...base(), [`PUT ${path}`]: new Refusal(422, 'No.', '', { name: 'There is a Benoît Larsen already.' }) })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Rename Ada Okafor' }))
    const dialog = within(screen.getByRole('dialog'))
    await user.clear(dialog.getByLabelText('Name'))
    await user.type(dialog.getByLabelText('Name'), 'Benoît Larsen')
    await user.click(dialog.getByRole('button', { name: 'Rename' }))
    expect(await dialog.findByText('✕ There is a Benoît Larsen already.')).toBeTruthy()
    serve({ ...base(), [`PUT ${path}`]: roster() })
    await user.type(dialog.getByLabelText('Name'), '-Fox')
    await user.click(dialog.getByRole('button', { name: 'Rename' }))
    const said = await screen.findByText('“Ada Okafor” is called “Benoît Larsen-Fox” now.')
    await user.click(within(said.parentElement as HTMLElement).getByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(bodies('PUT', path)).toEqual([{ name: 'Benoît Larsen-Fox' }, { name: 'Ada Okafor' }]))
  })

  it('gives a student support, quietly, and takes that back', async () => {
    const path = '/api/classes/c1/students/Ada%20Okafor/support'
    serve({ ...base(), [`PUT ${path}`]: roster() })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Support for Ada Okafor' }))
    const dialog = within(screen.getByRole('dialog'))
    await user.click(dialog.getByRole('checkbox', { name: /largest letters/ }))
    await user.click(dialog.getByRole('button', { name: 'Keep it' }))
    const none = {
      readAloud: false,
      largerText: false,
      lineFocus: false,
      wordNotes: false,
      fewerOptions: 0,
      extraTime: 0,
    }
    const said = await screen.findByText('The support of Ada Okafor is changed.')
    await user.click(within(said.parentElement as HTMLElement).getByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(bodies('PUT', path)).toEqual([{ ...none, largerText: true }, none]))
  })

  it('keeps what was chosen where it is refused', async () => {
    serve({ ...base(), 'PUT /api/classes/c1/students/Ada%20Okafor/support': new Refusal(503, 'The server is busy.') })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Support for Ada Okafor' }))
    const dialog = within(screen.getByRole('dialog'))
    await user.click(dialog.getByRole('checkbox', { name: /few lines/ }))
    await user.click(dialog.getByRole('button', { name: 'Keep it' }))
    expect(await dialog.findByText(/The server is busy/)).toBeTruthy()
    expect((dialog.getByRole('checkbox', { name: /few lines/ }) as HTMLElement).getAttribute('aria-checked')).toBe(
      'true',
    )
  })

  it('gives the class another name', async () => {
    serve({ ...base(), 'PUT /api/classes/c1': roster() })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Rename' }))
    await user.type(screen.getByLabelText('Name of the class'), ' a')
    await user.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'Rename' }))
    await waitFor(() => expect(bodies('PUT', '/api/classes/c1')).toEqual([{ name: '8 Kestrel a' }]))
  })

  it('goes back to the list with what was pasted', async () => {
    const user = open()
    await user.click(await screen.findByRole('button', { name: /Add students/ }))
    const dialog = within(await screen.findByRole('dialog'))
    await user.type(dialog.getByLabelText('Names, one a line, or CSV'), 'Dee Fox')
    await user.click(dialog.getByRole('button', { name: 'Look at the list' }))
    await user.click(await dialog.findByRole('button', { name: 'Back to the list' }))
    expect((dialog.getByLabelText('Names, one a line, or CSV') as HTMLTextAreaElement).value).toBe('Dee Fox')
  })

  it('reads a file in the code page of older spreadsheets', async () => {
    const user = open()
    await user.click(await screen.findByRole('button', { name: /Add students/ }))
    const dialog = within(await screen.findByRole('dialog'))
    const file = new File([new Uint8Array([0x42, 0x65, 0x6e, 0x6f, 0xee, 0x74])], 'names.csv', { type: 'text/csv' })
    await user.upload(dialog.getByLabelText('or a CSV file'), file)
    await waitFor(() =>
      expect((dialog.getByLabelText('Names, one a line, or CSV') as HTMLTextAreaElement).value).toBe('Benoît'),
    )
  })

  it('says at the field why a list is refused', async () => {
    serve({
      ...base(),
      'POST /api/classes/c1/roster/preview': new Refusal(422, 'Some of this cannot be taken.', '', {
        text: 'There is no name in it.',
      }),
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: /Add students/ }))
    const dialog = within(await screen.findByRole('dialog'))
    const look = dialog.getByRole('button', { name: 'Look at the list' })
    await user.click(look)
    expect(await dialog.findByText('✕ Paste some names first.')).toBeTruthy()
    await user.type(dialog.getByLabelText('Names, one a line, or CSV'), '123')
    await user.click(look)
    expect(await dialog.findByText('✕ There is no name in it.')).toBeTruthy()
  })

  it('takes a student off and back on again', async () => {
    serve({
      ...base(),
      'DELETE /api/classes/c1/students/Ada%20Okafor': () => {
        here = ['Benoît Larsen']
        return null
      },
      'POST /api/classes/c1/students/Ada%20Okafor/return': () => {
        here = ['Ada Okafor', 'Benoît Larsen']
        return null
      },
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Take Ada Okafor off the roster' }))
    const line = await screen.findByText('Ada Okafor is off the roster. Their work stays.')
    await waitFor(() => expect(screen.queryByRole('cell', { name: 'Ada Okafor' })).toBeNull())
    await user.click(within(line.parentElement as HTMLElement).getByRole('button', { name: 'Undo' }))
    expect(await screen.findByRole('cell', { name: 'Ada Okafor' })).toBeTruthy()
  })

  it('gives a new PIN and says what that ends', async () => {
    serve({ ...base(), 'POST /api/classes/c1/students/Ada%20Okafor/pin': { pin: '394767' } })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'New PIN for Ada Okafor' }))
    const dialog = within(await screen.findByRole('dialog'))
    expect(dialog.getByText('394767')).toBeTruthy()
    expect(dialog.getByText(/every device that was signed in has been signed out/)).toBeTruthy()
  })

  it('tells the next act while nobody is on it', async () => {
    here = []
    open()
    expect(await screen.findByText('Nobody is on the roster')).toBeTruthy()
    expect((screen.getByRole('button', { name: /Slips to print/ }) as HTMLButtonElement).disabled).toBe(true)
  })
})
