import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import ClassDesk from './ClassDesk'

const roster = (...names: string[]) => ({
  id: 'c1',
  name: '8 Kestrel',
  code: 'WPWLP',
  students: names.map((name) => ({ id: name, name, joinedAt: '2026-09-01T08:00:00Z' })),
  left: [{ id: 'Cleo Marsh', name: 'Cleo Marsh', leftAt: '2026-10-01T08:00:00Z' }],
  groups: [{ id: 'g1', name: 'Chart table', students: ['Ada Okafor'] }],
  teachers: ['t1'],
  pictures: false,
  staff: [
    { id: 't1', name: 'Maren' },
    { id: 't2', name: 'Idris' },
  ],
})
let here: string[]
const base = () => ({
  'GET /api/classes/c1': () => roster(...here),
  'POST /api/classes/c1/roster/preview': {
    adds: 1,
    lines: [
      { line: 1, given: 'Fox, Dee', name: 'Dee Fox', fate: 'add', note: '' },
      { line: 2, given: 'dee fox', name: 'dee fox', fate: 'double', note: 'The same as line 1.' },
      { line: 3, given: '123', name: '123', fate: 'fault', note: 'No letter in it.' },
    ],
  },
  'POST /api/classes/c1/roster': () => {
    here = [...here, 'Dee Fox']
    return roster(...here)
  },
})
const open = () => show(<ClassDesk />, '/classes/c1', '/classes/:id')
const more = async (user: ReturnType<typeof open>, act: string) => {
  await user.click(await screen.findByRole('button', { name: 'More for Ada Okafor' }))
  await user.click(await screen.findByRole('menuitem', { name: act }))
}
const undo = async (user: ReturnType<typeof open>, said: string | RegExp) =>
  user.click(within((await screen.findByText(said)).parentElement as HTMLElement).getByRole('button', { name: 'Undo' }))

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
    await more(user, 'Rename')
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

  it('has a line put right or left out, and looks at the list again', async () => {
    const user = open()
    await screen.findByText('Ada Okafor')
    await user.keyboard('a')
    const dialog = within(await screen.findByRole('dialog'))
    await user.type(dialog.getByLabelText('Names, one a line, or CSV'), 'Fox, Dee{Enter}dee fox{Enter}123')
    await user.click(dialog.getByRole('button', { name: 'Look at the list' }))
    const second = await dialog.findByLabelText('Name in line 2')
    expect(dialog.getByText('Fox, Dee')).toBeTruthy()
    await user.type(second, ' B.{Enter}')
    await user.click(dialog.getByRole('checkbox', { name: /3/ }))
    await waitFor(() =>
      expect(bodies('POST', '/api/classes/c1/roster/preview').slice(1)).toMatchObject([
        { names: { 2: 'dee fox B.' }, skip: [] },
        { names: { 2: 'dee fox B.' }, skip: [3] },
      ]),
    )
    await user.click(dialog.getByRole('button', { name: 'Turn all names round' }))
    await waitFor(() =>
      expect(bodies('POST', '/api/classes/c1/roster/preview').at(-1)).toMatchObject({
        names: { 1: 'Fox Dee', 2: 'fox dee', 3: '123' },
      }),
    )
    await user.click(dialog.getByRole('button', { name: 'Add 1 student' }))
    await waitFor(() => expect(bodies('POST', '/api/classes/c1/roster')).toMatchObject([{ skip: [3] }]))
  })

  it('keeps what was put right where it cannot be looked at', async () => {
    const user = open()
    await screen.findByText('Ada Okafor')
    await user.keyboard('a')
    const dialog = within(await screen.findByRole('dialog'))
    await user.type(dialog.getByLabelText('Names, one a line, or CSV'), '123')
    await user.click(dialog.getByRole('button', { name: 'Look at the list' }))
    const name = (await dialog.findByLabelText('Name in line 3')) as HTMLInputElement
    serve({ ...base(), 'POST /api/classes/c1/roster/preview': new Refusal(503, 'The server is busy.') })
    await user.clear(name)
    await user.type(name, 'Gus Ives{Enter}')
    expect(await dialog.findByText(/The server is busy/)).toBeTruthy()
    expect((dialog.getByLabelText('Name in line 3') as HTMLInputElement).value).toBe('Gus Ives')
  })

  it('moves a student to another class, and back', async () => {
    const move = (from: string) => `/api/classes/${from}/students/Ada%20Okafor/move`
    serve({
      ...base(),
      'GET /api/classes': {
        classes: [
          { id: 'c1', name: '8 Kestrel' },
          { id: 'c2', name: '8 Heron' },
        ],
      },
      [`POST ${move('c1')}`]: new Refusal(422, 'Somebody else in 8 Heron goes by the name Ada Okafor.'),
      [`POST ${move('c2')}`]: null,
    })
    const user = open()
    await more(user, 'To another class')
    const dialog = within(await screen.findByRole('dialog'))
    await user.click(await dialog.findByRole('button', { name: 'Move to 8 Heron' }))
    expect(await dialog.findByText(/Somebody else in 8 Heron/)).toBeTruthy()
    serve({ ...base(), [`POST ${move('c1')}`]: null, [`POST ${move('c2')}`]: null })
    await user.click(dialog.getByRole('button', { name: 'Move to 8 Heron' }))
    await undo(user, 'Ada Okafor is in 8 Heron now.')
    await waitFor(() =>
      expect([bodies('POST', move('c1')), bodies('POST', move('c2'))]).toEqual([[{ to: 'c2' }], [{ to: 'c1' }]]),
    )
  })

  it('puts two records of one student together, and parts them again', async () => {
    const at = '/api/students/Ada%20Okafor/merge'
    vi.spyOn(crypto, 'randomUUID').mockReturnValue('m1' as ReturnType<typeof crypto.randomUUID>)
    serve({ ...base(), [`POST ${at}`]: null, 'DELETE /api/merges/m1': null })
    const user = open()
    await more(user, 'Is here twice')
    const dialog = within(await screen.findByRole('dialog'))
    expect((dialog.getByRole('button', { name: 'Keep the other alone' }) as HTMLButtonElement).disabled).toBe(true)
    await user.click(dialog.getByLabelText('The same person as'))
    expect(screen.queryByRole('option', { name: 'Ada Okafor' })).toBeNull()
    await user.click(await screen.findByRole('option', { name: 'Benoît Larsen' }))
    await user.click(dialog.getByRole('button', { name: 'Keep Benoît Larsen alone' }))
    await undo(user, 'What Ada Okafor had is Benoît Larsen’s now.')
    await waitFor(() => expect(sent('DELETE', '/api/merges/m1')).toHaveLength(1))
    expect(bodies('POST', at)).toEqual([{ id: 'm1', into: 'Benoît Larsen' }])
    vi.restoreAllMocks()
  })

  it('keeps groups: ticked together, changed, taken apart, each with a way back', async () => {
    const groups = '/api/classes/c1/groups'
    serve({
      ...base(),
      [`POST ${groups}`]: roster(),
      [`PUT ${groups}/g1`]: roster(),
      [`DELETE ${groups}/g1`]: roster(),
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'New group' }))
    let dialog = within(await screen.findByRole('dialog'))
    await user.type(dialog.getByLabelText('Name'), 'Window side')
    await user.click(dialog.getByRole('checkbox', { name: 'Benoît Larsen' }))
    await user.click(dialog.getByRole('button', { name: 'Make the group' }))
    expect(await screen.findByText('“Window side” has 1 student.')).toBeTruthy()
    expect(bodies('POST', groups)).toEqual([{ name: 'Window side', students: ['Benoît Larsen'] }])

    await user.click(screen.getByRole('button', { name: 'Chart table' }))
    dialog = within(await screen.findByRole('dialog'))
    await user.click(dialog.getByRole('checkbox', { name: 'Ada Okafor' }))
    await user.click(dialog.getByRole('button', { name: 'Keep it' }))
    await undo(user, '“Chart table” has 0 students.')
    await waitFor(() =>
      expect(bodies('PUT', `${groups}/g1`)).toMatchObject([{ students: [] }, { students: ['Ada Okafor'] }]),
    )

    await user.click(screen.getByRole('button', { name: 'Chart table' }))
    await user.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Take apart' }))
    await undo(user, /no group any more/)
    await waitFor(() =>
      expect(bodies('POST', groups).at(-1)).toEqual({ name: 'Chart table', students: ['Ada Okafor'] }),
    )
  })

  it('says whose class it is, and brings back who has left', async () => {
    const back = '/api/classes/c1/students/Cleo%20Marsh/return'
    serve({ ...base(), 'PUT /api/classes/c1/teachers': roster(), [`POST ${back}`]: null })
    const user = open()
    const whose = (await screen.findByRole('heading', { name: 'Whose class is it?' })).parentElement as HTMLElement
    expect(within(whose).getByText('Maren')).toBeTruthy()
    await user.click(within(whose).getByRole('button', { name: 'Change' }))
    const dialog = within(await screen.findByRole('dialog'))
    await user.click(dialog.getByRole('checkbox', { name: 'Idris' }))
    await user.click(dialog.getByRole('button', { name: 'Keep it' }))
    await undo(user, 'It is changed whose class 8 Kestrel is.')
    await waitFor(() =>
      expect(bodies('PUT', '/api/classes/c1/teachers')).toEqual([{ teachers: ['t1', 't2'] }, { teachers: ['t1'] }]),
    )
    await user.click(screen.getByRole('button', { name: '1 has left' }))
    await user.click(screen.getByRole('button', { name: 'Back on the roster: Cleo Marsh' }))
    await waitFor(() => expect(sent('POST', back)).toHaveLength(1))
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
    await more(user, 'Off the roster')
    const line = await screen.findByText('Ada Okafor is off the roster. Their work stays.')
    await waitFor(() => expect(screen.queryByRole('cell', { name: 'Ada Okafor' })).toBeNull())
    await user.click(within(line.parentElement as HTMLElement).getByRole('button', { name: 'Undo' }))
    expect(await screen.findByRole('cell', { name: 'Ada Okafor' })).toBeTruthy()
  })

  it('lets the class come in by three pictures', async () => {
    serve({ ...base(), 'PUT /api/classes/c1/pictures': roster('Ada Okafor') })
    const user = open()
    await user.click(await screen.findByRole('checkbox', { name: /^Three pictures bring in/ }))
    await waitFor(() => expect(bodies('PUT', '/api/classes/c1/pictures')).toEqual([{ on: true }]))
  })

  it('gives a new PIN and says what that ends', async () => {
    serve({ ...base(), 'POST /api/classes/c1/students/Ada%20Okafor/pin': { pin: '394767', pictures: [] } })
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
