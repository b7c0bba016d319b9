import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
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
    expect(await screen.findByLabelText('Password')).toBeTruthy()
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
