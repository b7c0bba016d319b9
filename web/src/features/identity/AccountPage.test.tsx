import { screen, within } from '@testing-library/react'
import { expect, it } from 'vitest'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import { pickFrom, show } from '@/testing/page'
import AccountPage, { device } from './AccountPage'

const FIREFOX = 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0'
const line = (id: string, here: boolean) => ({
  id,
  device: FIREFOX,
  openedAt: '2026-11-24T08:00:00Z',
  seenAt: '2026-11-25T08:00:00Z',
  here,
})
const account = (change: object = {}) => ({
  sessions: [line('00000000000000aa', true), line('00000000000000bb', false)],
  colleagues: [{ id: 'c1', name: 'Tomas Ferreira', email: 'tomas@demo.example', role: 'teacher', here: true }],
  markStep: '1/2',
  steps: ['1', '1/2'],
  rungs: [
    { name: 'footing', from: 0 },
    { name: 'climbing', from: 50 },
    { name: 'clear', from: 75 },
  ],
  searchLanguage: 'english',
  languages: ['english', 'german', 'simple'],
  framedBy: [],
  maySet: true,
  ...change,
})

it('signs another device out, never the one at hand', async () => {
  serve({ 'GET /api/account': account(), 'DELETE /api/account/sessions/00000000000000bb': null })
  const user = show(<AccountPage />)
  const lines = await screen.findAllByText('Firefox on Linux')
  expect(lines).toHaveLength(2)
  const buttons = screen.getAllByRole('button', { name: 'Sign out Firefox on Linux' })
  expect(buttons).toHaveLength(1)
  await user.click(buttons[0]!)
  expect(await screen.findByText('That device is signed out.')).toBeTruthy()
  expect(sent('DELETE', '/api/account/sessions/00000000000000bb')).toHaveLength(1)
})

it('a password refused keeps what was typed and says where', async () => {
  serve({
    'GET /api/account': account(),
    'PUT /api/account/password': new Refusal(422, 'Not changed.', '', { current: 'That is not your password.' }),
  })
  const user = show(<AccountPage />)
  const act = await screen.findByRole('button', { name: 'Change the password' })
  await user.click(act)
  expect(await screen.findByText('✕ Type your present password.')).toBeTruthy()
  expect(screen.getByText('✕ Take at least 10 characters.')).toBeTruthy()
  expect(bodies('PUT', '/api/account/password')).toEqual([])
  await user.type(screen.getByLabelText('Your present password'), 'low-water')
  await user.type(screen.getByLabelText('New password'), 'neap tides 1')
  await user.click(act)
  expect(await screen.findByText('✕ That is not your password.')).toBeTruthy()
  expect((screen.getByLabelText('New password') as HTMLInputElement).value).toBe('neap tides 1')
  expect(bodies('PUT', '/api/account/password')).toEqual([{ current: 'low-water', new: 'neap tides 1' }])
})

it('a lead sets a colleague’s password and the step of marks, which can be taken back', async () => {
  serve({
    'GET /api/account': account(),
    'PUT /api/account/colleagues/c1/password': null,
    'PUT /api/account/team': ({ body }: { body: unknown }) => account(body as object),
  })
  const user = show(<AccountPage />)
  await user.click(await screen.findByRole('button', { name: 'New password for Tomas Ferreira' }))
  const dialog = within(screen.getByRole('dialog'))
  await user.type(dialog.getByLabelText('Your present password'), 'high-water')
  await user.type(dialog.getByLabelText('New password'), 'neap tides 2')
  await user.click(dialog.getByRole('button', { name: 'Set it' }))
  expect(await screen.findByText(/signs in with the new password/)).toBeTruthy()
  await pickFrom(user, screen.getByLabelText('Marks go in steps of'), '1')
  expect(await screen.findByText('Marks go in steps of 1 from now on.')).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Undo' }))
  await screen.findByText('Marks go in steps of 0.5 from now on.')
  expect(bodies('PUT', '/api/account/team')).toEqual([{ markStep: '1' }, { markStep: '1/2' }])
})

it('a lead says in which language questions are found, and can take it back', async () => {
  const put = ({ body }: { body: unknown }) => account(body as object)
  serve({ 'GET /api/account': account(), 'PUT /api/account/team': put })
  const user = show(<AccountPage />)
  await pickFrom(user, await screen.findByLabelText('Language of the questions'), 'German')
  expect(await screen.findByText(/words of this language now: German/)).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Undo' }))
  await screen.findByText(/words of this language now: English/)
  expect(bodies('PUT', '/api/account/team')).toEqual([{ searchLanguage: 'german' }, { searchLanguage: 'english' }])
})

it('a lead names the pages that may frame the work, keeps what is refused, and can take it back', async () => {
  serve({
    'GET /api/account': account(),
    'PUT /api/account/team': ({ body }: { body: unknown }) => {
      const { framedBy } = body as { framedBy: string[] }
      return framedBy.includes('the wiki')
        ? new Refusal(422, 'Not set.', '', { framedBy: '“the wiki” is no address of a page.' })
        : account({ framedBy: framedBy.map((page) => page.replace('/class', '')) })
    },
  })
  const user = show(<AccountPage />)
  const field = await screen.findByLabelText('Their addresses, one in a line')
  await user.type(field, 'https://pages.school.example/class{Enter}{Enter}the wiki')
  const keep = screen.getByRole('button', { name: 'Keep these pages' })
  await user.click(keep)
  expect(await screen.findByText('✕ “the wiki” is no address of a page.')).toBeTruthy()
  expect((field as HTMLTextAreaElement).value).toContain('the wiki')
  await user.type(field, '{Backspace>8/}')
  await user.click(keep)
  expect(await screen.findByText('These pages may show your work in a frame.')).toBeTruthy()
  expect((field as HTMLTextAreaElement).value).toBe('https://pages.school.example')
  await user.click(screen.getByRole('button', { name: 'Undo' }))
  await screen.findByText('No other page may show your work now.')
  expect(bodies('PUT', '/api/account/team')).toEqual([
    { framedBy: ['https://pages.school.example/class', 'the wiki'] },
    { framedBy: ['https://pages.school.example/class'] },
    { framedBy: [] },
  ])
  expect((field as HTMLTextAreaElement).value).toBe('')
})

it('whoever is no lead reads the step and sets nothing', async () => {
  serve({ 'GET /api/account': account({ maySet: false, colleagues: [] }) })
  show(<AccountPage />)
  expect(await screen.findByText('A lead of the team can change that.')).toBeTruthy()
  expect(screen.queryByLabelText('Marks go in steps of')).toBeNull()
  expect(screen.queryByLabelText('Language of the questions')).toBeNull()
  expect(screen.queryByRole('heading', { name: 'Colleagues' })).toBeNull()
})

it('names a device in words, and a strange one too', () => {
  expect(device('Mozilla/5.0 (Linux; Android 16) AppleWebKit Chrome/140 Mobile Safari')).toBe('Chromium on Android')
  expect(device('curl/8')).toBe('A browser')
})

const rows = (here: boolean, role = 'teacher') => ({
  colleagues: [{ id: 'c1', name: 'Tomas Ferreira', email: 'tomas@demo.example', role, here }],
})
const undo = async (user: ReturnType<typeof show>, said: string | RegExp) =>
  user.click(within((await screen.findByText(said)).parentElement as HTMLElement).getByRole('button', { name: 'Undo' }))

it('takes a colleague in, and keeps what was typed when refused', async () => {
  const refusal = new Refusal(422, 'No.', '', { email: 'This address has an account already.' })
  serve({ 'GET /api/account': account(), 'POST /api/account/colleagues': refusal })
  const user = show(<AccountPage />)
  await user.click(await screen.findByRole('button', { name: 'Add a colleague' }))
  const dialog = within(screen.getByRole('dialog'))
  const act = dialog.getByRole('button', { name: 'Take them in' })
  await user.click(act)
  expect(await dialog.findByText('✕ Type their name.')).toBeTruthy()
  await user.type(dialog.getByLabelText('Name'), 'Wren Hollis')
  await user.type(dialog.getByLabelText('E-mail address'), 'wren@demo.example')
  await pickFrom(user, dialog.getByLabelText('Role'), 'marker')
  expect(dialog.getByText(/A marker marks open answers/)).toBeTruthy()
  await user.type(dialog.getByLabelText('Their first password'), 'neap tides 1')
  await user.type(dialog.getByLabelText('Your present password'), 'high-water')
  await user.click(act)
  expect(await dialog.findByText('✕ This address has an account already.')).toBeTruthy()
  serve({ 'GET /api/account': account(), 'POST /api/account/colleagues': null })
  await user.click(act)
  expect(await screen.findByText(/Wren Hollis can sign in now/)).toBeTruthy()
  expect(bodies('POST', '/api/account/colleagues')).toEqual([
    { name: 'Wren Hollis', email: 'wren@demo.example', role: 'marker', new: 'neap tides 1', current: 'high-water' },
  ])
})

it('changes what a colleague may do, and takes that back', async () => {
  const path = '/api/account/colleagues/c1/role'
  serve({ 'GET /api/account': account(rows(true)), [`PUT ${path}`]: null })
  const user = show(<AccountPage />)
  await user.click(await screen.findByRole('button', { name: 'More for Tomas Ferreira' }))
  await user.click(await screen.findByRole('menuitem', { name: 'Make a marker' }))
  await undo(user, 'Tomas Ferreira is a marker now.')
  await screen.findByText('Tomas Ferreira is a teacher now.')
  expect(bodies('PUT', path)).toEqual([{ role: 'marker' }, { role: 'teacher' }])
})

it('lets a colleague go, and takes them back', async () => {
  let here = true
  serve({
    'GET /api/account': () => account(rows(here)),
    'DELETE /api/account/colleagues/c1': () => {
      here = false
      return null
    },
    'POST /api/account/colleagues/c1/return': () => {
      here = true
      return null
    },
  })
  const user = show(<AccountPage />)
  await user.click(await screen.findByRole('button', { name: 'More for Tomas Ferreira' }))
  await user.click(await screen.findByRole('menuitem', { name: 'Out of the team' }))
  expect(await screen.findByText(/signed out everywhere. What they made stays/)).toBeTruthy()
  await user.click(await screen.findByRole('button', { name: 'Take Tomas Ferreira back' }))
  expect(await screen.findByRole('button', { name: 'New password for Tomas Ferreira' })).toBeTruthy()
  expect(sent('POST', '/api/account/colleagues/c1/return')).toHaveLength(1)
})

it('names the rungs anew, says at once what cannot be read, and takes that back', async () => {
  const path = '/api/account/team'
  serve({
    'GET /api/account': account(),
    [`PUT ${path}`]: new Refusal(422, 'No.', '', { rungs: '“clear” begins above the rung below it.' }),
  })
  const user = show(<AccountPage />)
  expect(await screen.findByText('from 75 % of the marks')).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Change the rungs' }))
  await user.click(screen.getByRole('button', { name: 'Take out rung 2' }))
  const cut = screen.getByLabelText('Rung 2, from % of the marks')
  await user.clear(cut)
  await user.type(cut, 'half')
  await user.click(screen.getByRole('button', { name: 'Keep these rungs' }))
  expect(await screen.findByText(/From how many percent does “clear” begin/)).toBeTruthy()
  expect(bodies('PUT', path)).toEqual([])
  await user.clear(cut)
  await user.type(cut, '60')
  await user.click(screen.getByRole('button', { name: 'Keep these rungs' }))
  expect(await screen.findByText('✕ “clear” begins above the rung below it.')).toBeTruthy()
  serve({ 'GET /api/account': account(), [`PUT ${path}`]: ({ body }: { body: unknown }) => account(body as object) })
  await user.click(screen.getByRole('button', { name: 'Keep these rungs' }))
  expect(await screen.findByText('from 60 % of the marks')).toBeTruthy()
  await undo(user, /The rungs are changed/)
  expect(await screen.findByText('from 75 % of the marks')).toBeTruthy()
  expect(bodies('PUT', path)).toMatchObject([
    {
      rungs: [
        { name: 'footing', from: 0 },
        { name: 'clear', from: 60 },
      ],
    },
    { rungs: account().rungs },
  ])
})
