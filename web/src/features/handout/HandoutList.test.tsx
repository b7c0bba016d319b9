import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import type { UserEvent } from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { PLAIN_CONDITIONS } from '@/lib/conditions'
import { show } from '@/testing/page'
import { bodies, Refusal, serve, serveAlso } from '@/testing/server'
import HandoutList from './HandoutList'

const handout = (id: string, change: Partial<Schemas['HandoutHandoutView']> = {}): Schemas['HandoutHandoutView'] => ({
  id,
  title: `Paper ${id}`,
  paperId: 'p1',
  edition: 2,
  latest: 2,
  classes: ['8 Heron'],
  conditions: {
    attempts: 1,
    counts: 'best',
    shuffleQuestions: false,
    shuffleOptions: false,
    feedback: PLAIN_CONDITIONS.feedback,
    minutes: null,
    wholePage: false,
    inOrder: false,
    pasting: true,
    inRoom: false,
    needsWorking: false,
    fullScreen: false,
    secondsEach: null,
    tools: [],
  },
  visible: true,
  status: 'open',
  opensAt: null,
  closesAt: null,
  closedAt: null,
  madeAt: '2026-11-20T10:00:00Z',
  expected: 27,
  open: 0,
  handedIn: 0,
  returned: 0,
  waiting: 0,
  group: null,
  follows: null,
  ...change,
})
const open = (...handouts: Schemas['HandoutHandoutView'][]) => {
  serve({ 'GET /api/handouts': { handouts }, 'PUT /api/handouts/a': handout('a') })
  return show(<HandoutList />)
}
const line = async (id: string) => within(await screen.findByRole('row', { name: new RegExp(`Paper ${id}`) }))
/** Chooses a handout, and what is said beside the list of it. */
const beside = async (user: UserEvent, id: string) => {
  await user.click((await line(id)).getByRole('rowheader'))
  return within(screen.getByRole('region', { name: 'The chosen one' }))
}

describe('Handouts', () => {
  it('say to whom, how far they are, and whose turn it is', async () => {
    const user = open(
      handout('a', { handedIn: 20, open: 5, waiting: 3 }),
      handout('b', { classes: [], group: 'Footing', handedIn: 6, returned: 6, status: 'closed' }),
      handout('c', { classes: [], expected: 2, handedIn: 2, returned: 1 }),
      handout('d', { status: 'scheduled', opensAt: '2026-12-01T09:00:00Z' }),
    )
    const said = async (id: string) =>
      (await line(id))
        .getAllByRole('cell')
        .map((c) => c.textContent)
        .slice(0, 4)
    expect(await said('a')).toEqual(['8 Heron', '✓ open', '20 of 27', '3 wait for marking'])
    expect(await said('b')).toEqual(['group “Footing”', 'closed', '6 of 27', 'returned'])
    expect(await said('c')).toEqual(['2 students', '✓ open', '2 of 2', '1 to return'])
    expect((await said('d'))[1]).toMatch(/^opens /)
    await beside(user, 'c')
    expect(screen.getByRole('link', { name: '1 to return' }).getAttribute('href')).toBe('/marking?return=c')
  })

  it('lead to the Lookout, and to results once there is work', async () => {
    const user = open(handout('a'), handout('b', { handedIn: 1 }), handout('c', { handedIn: 1, status: 'closed' }))
    expect((await beside(user, 'a')).queryByRole('link', { name: 'Results' })).toBeNull()
    expect((await beside(user, 'a')).getByRole('link', { name: 'Lookout' }).getAttribute('href')).toBe('/lookout/a')
    expect((await beside(user, 'b')).getByRole('link', { name: 'Results' }).getAttribute('href')).toBe('/results/b')
    expect(screen.getByRole('link', { name: 'Paper b' }).getAttribute('href')).toBe('/lookout/b')
    expect(screen.getByRole('link', { name: 'Paper c' }).getAttribute('href')).toBe('/results/c')
  })

  it('are shown by one act, hidden and timed by another, even with work in; both can be taken back', async () => {
    const closesAt = '2026-12-01T09:00:30.000Z'
    const user = open(
      handout('a', { closesAt, handedIn: 3, open: 2 }),
      handout('b', { status: 'hidden', visible: false }),
    )
    expect((await beside(user, 'b')).getByRole('button', { name: 'Show to students' })).toBeTruthy()
    await user.click((await beside(user, 'a')).getByRole('button', { name: 'Times of Paper a' }))
    const dialog = within(screen.getByRole('dialog'))
    await user.click(dialog.getByRole('checkbox', { name: 'Students can see it' }))
    expect(dialog.getByRole('note').textContent).toContain('2 students are at work')
    fireEvent.change(dialog.getByLabelText('Opens'), { target: { value: '2026-11-30T08:00' } })
    await user.click(dialog.getByRole('button', { name: 'Set the times' }))
    const said = await screen.findByText('The times of “Paper a” are set.')
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
    await user.click(within(said.parentElement as HTMLElement).getByRole('button', { name: 'Undo' }))
    await waitFor(() =>
      expect(bodies('PUT', '/api/handouts/a')).toEqual([
        { visible: false, opensAt: new Date('2026-11-30T08:00').toISOString(), closesAt },
        { visible: true, opensAt: null, closesAt },
      ]),
    )
  })

  it('keep what was typed when the times do not fit', async () => {
    const user = open(handout('a'))
    serve({
      'GET /api/handouts': { handouts: [handout('a')] },
      'PUT /api/handouts/a': new Refusal(422, 'Not set.', '', { closesAt: 'It must close after it opens.' }),
    })
    await user.click((await beside(user, 'a')).getByRole('button', { name: 'Times of Paper a' }))
    const dialog = within(screen.getByRole('dialog'))
    fireEvent.change(dialog.getByLabelText('Closes'), { target: { value: '2026-11-01T08:00' } })
    expect(dialog.getByText(/That is past/)).toBeTruthy()
    await user.click(dialog.getByRole('button', { name: 'Set the times' }))
    expect(await dialog.findByText('✕ It must close after it opens.')).toBeTruthy()
    expect((dialog.getByLabelText('Closes') as HTMLInputElement).value).toBe('2026-11-01T08:00')
  })

  it('have an address of their own, to be copied or marked', async () => {
    const user = open(handout('a'))
    await user.click((await beside(user, 'a')).getByRole('button', { name: 'Link to Paper a' }))
    const dialog = within(await screen.findByRole('dialog'))
    expect(dialog.getByText(`${location.origin}/my/to/a`)).toBeTruthy()
    expect((await dialog.findByRole('img', { name: /QR code of the link/ })).innerHTML).toContain('<svg')
    await user.click(dialog.getByRole('button', { name: 'Copy the link' }))
    expect(await navigator.clipboard.readText()).toBe(`${location.origin}/my/to/a`)
  })

  it('can be shown in a frame of pages that a lead has named, and of no others', async () => {
    const user = open(handout('a'))
    serveAlso({ 'GET /api/account': { framedBy: [] } })
    await user.click((await beside(user, 'a')).getByRole('button', { name: 'Link to Paper a' }))
    const none = within(await screen.findByRole('dialog'))
    expect(await none.findByText(/No other page may show your team’s work yet/)).toBeTruthy()
    expect(none.queryByRole('button', { name: 'Copy the code' })).toBeNull()
    await user.keyboard('{Escape}')

    serveAlso({ 'GET /api/account': { framedBy: ['https://pages.school.example'] } })
    await user.click((await beside(user, 'a')).getByRole('button', { name: 'Link to Paper a' }))
    const dialog = within(await screen.findByRole('dialog'))
    await user.click(await dialog.findByRole('button', { name: 'Copy the code' }))
    expect(await navigator.clipboard.readText()).toContain(`src="${location.origin}/framed/a"`)
    expect(dialog.getByText(/It works on https:\/\/pages\.school\.example\./)).toBeTruthy()
  })

  it('tell the next act when there are none, which has a key', async () => {
    const user = open()
    expect(await screen.findByText('Nothing has been handed out')).toBeTruthy()
    await user.keyboard('n')
    expect(screen.getByLabelText('address').textContent).toBe('/handouts/new')
  })

  it('take back what nobody has begun, and nothing else', async () => {
    const user = open(handout('a'), handout('b', { open: 1 }))
    serveAlso({
      'DELETE /api/handouts/a': new Refusal(409, 'Somebody has begun this work.', 'Hide or close it instead.'),
    })
    await user.click((await beside(user, 'b')).getByRole('button', { name: 'Times of Paper b' }))
    expect(screen.queryByRole('button', { name: 'Take it back' })).toBeNull()
    await user.keyboard('{Escape}')
    for (const words of [/Hide or close it instead/, /no student has it any more/]) {
      await user.click((await beside(user, 'a')).getByRole('button', { name: 'Times of Paper a' }))
      await user.click(screen.getByRole('button', { name: 'Take it back' }))
      expect(await screen.findByText(words)).toBeTruthy()
      serveAlso({ 'DELETE /api/handouts/a': null })
    }
  })
})
