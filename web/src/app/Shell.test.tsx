import { QueryClient, useQuery } from '@tanstack/react-query'
import { act, screen, waitFor, within } from '@testing-library/react'
import { useState } from 'react'
import { Route, Routes } from 'react-router'
import { beforeEach, describe, expect, it } from 'vitest'
import { api, take } from '@/lib/api/client'
import { show } from '@/testing/page'
import { Refusal, sent, serve } from '@/testing/server'
import { Shell } from './Shell'

const session = (role: string) => ({
  staff: { id: 'x', name: 'Maren Ostrander', role, team: 'Kelpwick' },
  demoAccounts: [],
})
const nobody = { staff: null, demoAccounts: [] }
const open = (at = '/bank') => show(<Shell />, at)
const stages = async () =>
  within(await screen.findByRole('navigation', { name: 'Stages' }))
    .getAllByRole('link')
    .map((a) => a.textContent)
const address = () => screen.getByLabelText('address').textContent

beforeEach(() => serve({ 'GET /api/session': session('teacher'), 'GET /api/marking': { waiting: 0, lines: [] } }))

describe('The ladder', () => {
  it('has the stages of the job in their order, the current one marked', async () => {
    open('/classes')
    expect(await stages()).toEqual(['Bank', 'Papers', 'Classes', 'Handouts', 'Lookout', 'Marking', 'Results', 'Groups'])
    expect(screen.getByRole('link', { current: 'page' }).textContent).toBe('Classes')
  })

  it('says how many answers wait for a marker, and nothing when none does', async () => {
    serve({ 'GET /api/session': session('teacher'), 'GET /api/marking': { waiting: 62, lines: [] } })
    open()
    expect(await screen.findByRole('link', { name: /Marking ?62 answers wait/ })).toBeTruthy()
  })

  it('leads a marker to marking, and to nothing that is closed to them', async () => {
    serve({ 'GET /api/session': session('marker'), 'GET /api/marking': { waiting: 1, lines: [] } })
    const user = open('/bank')
    expect(await screen.findByRole('link', { name: /Marking ?1 answer waits/ })).toBeTruthy()
    expect(address()).toBe('/marking')
    expect(await stages()).toHaveLength(1)
    await user.keyboard('{Alt>}2{/Alt}')
    expect(address()).toBe('/marking')
    await user.click(screen.getByRole('button', { name: 'Account of Maren Ostrander' }))
    expect(await screen.findByRole('menuitem', { name: 'Sign out' })).toBeTruthy()
    expect(screen.queryByRole('menuitem', { name: 'Outbox' })).toBeNull()
  })

  it('goes by keys, even out of a field', async () => {
    const user = open()
    await stages()
    await user.keyboard('{Alt>}7{/Alt}')
    expect(address()).toBe('/results')
  })

  it('lets the keyboard skip it', async () => {
    const user = open()
    await stages()
    await user.tab()
    expect(document.activeElement?.textContent).toBe('Skip to the desk')
    expect((document.activeElement as HTMLAnchorElement).hash).toBe('#main')
    expect(document.getElementById('main')?.tagName).toBe('MAIN')
  })
})

describe('The door', () => {
  it('asks whoever is not signed in, and asks for nothing else meanwhile', async () => {
    serve({ 'GET /api/session': nobody })
    open('/results')
    expect(await screen.findByLabelText('Password')).toBeTruthy()
    expect(screen.queryByRole('navigation')).toBeNull()
    expect(sent('GET', '/api/marking')).toEqual([])
  })

  it('opens on the screen that was asked for', async () => {
    serve({
      'GET /api/session': nobody,
      'POST /api/session': session('lead'),
      'GET /api/marking': { waiting: 0, lines: [] },
    })
    const user = open('/results')
    await user.type(await screen.findByLabelText('E-mail address'), 'maren@demo.example')
    await user.type(screen.getByLabelText('Password'), 'high-water{Enter}')
    await stages()
    expect(address()).toBe('/results')
  })

  it('closes behind whoever signs out', async () => {
    let now: object = session('teacher')
    serve({
      'GET /api/session': () => now,
      'GET /api/marking': { waiting: 0, lines: [] },
      'DELETE /api/session': () => ((now = nobody), null),
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Account of Maren Ostrander' }))
    await user.click(await screen.findByRole('menuitem', { name: 'Sign out' }))
    await waitFor(() => expect(sent('DELETE', '/api/session')).toHaveLength(1))
    expect(await screen.findByRole('heading', { name: 'Sign in as a teacher' })).toBeTruthy()
    expect(screen.queryByRole('navigation')).toBeNull()
  })

  it('turns from paper to slate and back', async () => {
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Account of Maren Ostrander' }))
    await user.click(await screen.findByRole('menuitem', { name: 'Dark slate' }))
    expect(document.documentElement.dataset.theme).toBe('dark')
    await user.click(screen.getByRole('button', { name: 'Account of Maren Ostrander' }))
    await user.click(await screen.findByRole('menuitem', { name: 'Light paper' }))
    expect(document.documentElement.dataset.theme).toBe('light')
  })

  it('says when the server cannot say who is there', async () => {
    serve({ 'GET /api/session': new Refusal(503, 'Back in a minute.') })
    open()
    expect(await screen.findByText(/Back in a minute/)).toBeTruthy()
    expect(screen.queryByLabelText('Password')).toBeNull()
  })
})

describe('A session that ends', () => {
  const desk = (
    <Routes>
      <Route element={<Shell />}>
        <Route path="/bank" element={<Desk />} />
      </Route>
    </Routes>
  )
  function Desk() {
    const [said, setSaid] = useState('')
    const list = useQuery({ queryKey: ['things'], queryFn: () => take(api.GET('/api/papers')) })
    return (
      <>
        <input aria-label="typed here" />
        <button
          onClick={() => void take(api.POST('/api/classes', { body: { name: 'x' } })).catch(() => setSaid('refused'))}
        >
          Make
        </button>
        <p>{said}</p>
        <ul>
          {list.data?.papers.map((p) => (
            <li key={p.id}>{p.title}</li>
          ))}
        </ul>
      </>
    )
  }
  const papers = { papers: [{ id: 'p1', title: 'Tides' }] }

  it('lays signing in over the desk, which goes on as it was', async () => {
    let now: object = session('teacher')
    serve({
      'GET /api/session': () => now,
      'GET /api/marking': { waiting: 0, lines: [] },
      'GET /api/papers': papers,
      'POST /api/classes': () => ((now = nobody), new Refusal(401, 'Sign in first.')),
      'POST /api/session': session('teacher'),
    })
    const user = show(desk, '/bank')
    await user.type(await screen.findByLabelText('typed here'), 'half a question')
    await user.click(screen.getByRole('button', { name: 'Make' }))
    const door = within(await screen.findByRole('alertdialog', { name: 'You are no longer signed in' }))
    await user.type(door.getByLabelText('E-mail address'), 'maren@demo.example')
    await user.type(door.getByLabelText('Password'), 'high-water')
    const before = sent('GET', '/api/papers').length
    await user.click(door.getByRole('button', { name: 'Sign in' }))
    await waitFor(() => expect(screen.queryByRole('alertdialog')).toBeNull())
    expect((screen.getByLabelText('typed here') as HTMLInputElement).value).toBe('half a question')
    await waitFor(() => expect(sent('GET', '/api/papers').length).toBeGreaterThan(before))
  })

  it('gives nobody else the desk, nor what was typed at it', async () => {
    let now: object = session('teacher')
    const other = { ...session('teacher'), staff: { id: 'y', name: 'Idris', role: 'teacher', team: 'Kelpwick' } }
    serve({
      'GET /api/session': () => now,
      'GET /api/marking': { waiting: 0, lines: [] },
      'GET /api/papers': papers,
      'POST /api/classes': () => ((now = nobody), new Refusal(401, 'Sign in first.')),
      'POST /api/session': other,
    })
    sessionStorage.setItem('chalk.unsaved.x', '"mine"')
    const user = show(desk, '/bank')
    await user.click(await screen.findByRole('button', { name: 'Make' }))
    const door = within(await screen.findByRole('alertdialog'))
    await user.type(door.getByLabelText('E-mail address'), 'idris@demo.example')
    await user.type(door.getByLabelText('Password'), 'high-water')
    await user.click(door.getByRole('button', { name: 'Sign in' }))
    await waitFor(() => expect(sessionStorage.getItem('chalk.unsaved.x')).toBeNull())
    // The page is opened anew; until then the desk stays behind the door.
    expect(screen.getByRole('alertdialog')).toBeTruthy()
  })

  it('is seen when the session is asked for anew, too, and takes nothing away', async () => {
    let now: object = session('teacher')
    serve({
      'GET /api/session': () => now,
      'GET /api/marking': { waiting: 0, lines: [] },
      'GET /api/papers': papers,
    })
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
    const user = show(desk, '/bank', '/*', client)
    await user.type(await screen.findByLabelText('typed here'), 'half')
    now = nobody
    await act(() => client.invalidateQueries({ queryKey: ['session'] }))
    expect(await screen.findByRole('alertdialog')).toBeTruthy()
    expect((screen.getByLabelText('typed here') as HTMLInputElement).value).toBe('half')
  })

  it('says nothing of age where nothing has come yet', async () => {
    serve({
      'GET /api/session': session('teacher'),
      'GET /api/marking': { waiting: 0, lines: [] },
      'GET /api/papers': new Refusal(503, 'Back in a minute.'),
    })
    show(desk, '/bank')
    await screen.findByLabelText('typed here')
    await waitFor(() => expect(sent('GET', '/api/papers')).toHaveLength(1))
    expect(screen.queryByText(/^What you see is from/)).toBeNull()
  })

  it('a refresh that fails replaces nothing, and says how old it is', async () => {
    let fails = false
    serve({
      'GET /api/session': session('teacher'),
      'GET /api/marking': { waiting: 0, lines: [] },
      'GET /api/papers': () => (fails ? new Refusal(503, 'Back in a minute.') : papers),
    })
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
    const user = show(desk, '/bank', '/*', client)
    await screen.findByText('Tides')
    fails = true
    await act(() => client.invalidateQueries({ queryKey: ['things'] }))
    expect(await screen.findByText(/^What you see is from \d\d:\d\d: Back in a minute\.$/)).toBeTruthy()
    expect(screen.getByText('Tides')).toBeTruthy()
    fails = false
    await user.click(screen.getByRole('button', { name: 'Fetch it anew' }))
    await waitFor(() => expect(screen.queryByText(/^What you see is from/)).toBeNull())
  })
})
