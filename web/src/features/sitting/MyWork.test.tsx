import 'fake-indexeddb/auto'
import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import MyWork from './MyWork'
import { deviceStore, keyOf } from './store'

const row = (id: string, status: string, change: Partial<Schemas['SittingOwnWorkRowView']> = {}) => ({
  handoutId: id,
  title: `Work ${id}`,
  status,
  sittingId: null,
  opensAt: null,
  closesAt: null,
  attempt: 0,
  attempts: 1,
  mayOpen: status === 'due' || status === 'open',
  minutes: null,
  secondsEach: null,
  marks: null,
  of: null,
  ...change,
})
const work = (...handouts: Schemas['SittingOwnWorkRowView'][]) => ({ name: 'Ada Okafor', handouts })
const part = async (title: string) =>
  within((await screen.findByRole('heading', { name: title })).parentElement as HTMLElement)
const open = () => show(<MyWork />, '/my', '/my')
const unsent = {
  key: keyOf('s9', 'e1', 1),
  sittingId: 's9',
  entry: 'e1',
  try: 1,
  value: { text: 'typed on the bus' },
  counter: 7,
  sent: 0,
  millis: 0,
  confidence: null,
}

beforeEach(() => deviceStore().forgetSent())

describe('My work', () => {
  it('says the marks of what was told, and of nothing else', async () => {
    serve({
      'GET /api/me/work': work(
        row('a', 'returned', { sittingId: 's1', attempt: 1, marks: '6.5', of: '8' }),
        row('b', 'returned', { sittingId: 's2', attempt: 1, marks: '3', of: null }),
        row('c', 'returned', { sittingId: 's3', attempt: 1 }),
      ),
    })
    open()
    const back = await part('Returned')
    expect(back.getAllByRole('listitem').map((l) => l.textContent)).toEqual([
      'Work a6.5 of 8See',
      'Work b3 marksSee',
      'Work cSee',
    ])
  })

  it('says of each piece of work whose turn it is, and what can be done', async () => {
    serve({
      'GET /api/me/work': work(
        row('a', 'due', { closesAt: '2026-12-01T09:00:00Z' }),
        row('b', 'open', { sittingId: 's2', attempt: 2, attempts: 3 }),
        row('c', 'handed in', { sittingId: 's3', attempt: 1, attempts: 2, mayOpen: true }),
        row('d', 'returned', { sittingId: 's4', attempt: 1 }),
        row('e', 'scheduled', { opensAt: '2026-12-01T09:00:00Z' }),
        row('f', 'missed'),
      ),
    })
    open()
    const due = await part('To do')
    expect(due.getAllByRole('listitem').map((l) => l.textContent)).toEqual([
      expect.stringMatching(/^Work auntil .*Begin$/),
      'Work battempt 2 of 3Go on',
    ])
    expect((await part('Handed in')).getAllByRole('button').map((b) => b.textContent)).toEqual(['See', 'Try again'])
    expect((await part('Returned')).getAllByRole('button').map((b) => b.textContent)).toEqual(['See'])
    expect((await part('Later')).queryByRole('button')).toBeNull()
    expect((await part('Missed')).getByText('Work f')).toBeTruthy()
  })

  it('says that nothing is there yet', async () => {
    serve({ 'GET /api/me/work': work() })
    open()
    expect(await screen.findByText(/Nothing has been handed to you yet/)).toBeTruthy()
  })

  it('opens work where it is, and tells why it could not', async () => {
    serve({
      'GET /api/me/work': work(row('a', 'due'), row('b', 'due')),
      'POST /api/me/handouts/a/open': new Refusal(409, 'This work is closed.', 'Ask your teacher.'),
      'POST /api/me/handouts/b/open': { id: 's7' },
    })
    const user = open()
    const [first, second] = await screen.findAllByRole('button', { name: 'Begin' })
    await user.click(first as HTMLElement)
    expect(await screen.findByText(/This work is closed. Ask your teacher./)).toBeTruthy()
    await user.click(second as HTMLElement)
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/my/s7'))
  })

  it('shows one piece of work alone where a link leads to it, with the way to the rest', async () => {
    const [a, b] = ['0190a0a0-0000-7000-8000-00000000000a', '0190a0a0-0000-7000-8000-00000000000b']
    serve({ 'GET /api/me/work': work(row(a, 'due'), row(b, 'due')) })
    show(<MyWork />, `/my/to/${b}`, '/my/to/:only')
    expect((await part('To do')).getAllByRole('listitem')).toHaveLength(1)
    expect(screen.getByText(`Work ${b}`)).toBeTruthy()
    expect(screen.getByRole('link', { name: 'All my work' }).getAttribute('href')).toBe('/my')
  })

  it('says so where the work of a link is not theirs', async () => {
    serve({ 'GET /api/me/work': work(row('a', 'due')) })
    show(<MyWork />, '/my/to/0190a0a0-0000-7000-8000-00000000000b', '/my/to/:only')
    expect(await screen.findByText(/has not been handed to you, or is not shown yet/)).toBeTruthy()
    expect(screen.queryByText('Work a')).toBeNull()
  })

  it('asks who it is when nobody has joined', async () => {
    serve({ 'GET /api/me/work': new Refusal(401, 'Join first.') })
    open()
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/join'))
  })

  it('sends what stayed on the device, and forgets it on leaving', async () => {
    await deviceStore().put(unsent)
    serve({
      'GET /api/me/work': work(),
      'PUT /api/me/sittings/s9/responses': {
        kept: [{ entry: 'e1', try: 1, counter: 7, fate: 'closed' }],
        state: 'handed in',
        at: '',
      },
      'DELETE /api/me': null,
    })
    const user = open()
    expect(await screen.findByText('1 answer that had stayed on this device is sent now.')).toBeTruthy()
    expect(bodies('PUT', '/api/me/sittings/s9/responses')).toMatchObject([
      { saves: [{ entry: 'e1', value: { text: 'typed on the bus' }, counter: 7 }] },
    ])
    await user.click(screen.getByRole('button', { name: 'Leave' }))
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/join'))
    expect(await deviceStore().of('s9')).toEqual([])
  })

  it('keeps what cannot be sent, and says so on leaving', async () => {
    await deviceStore().put(unsent)
    serve({
      'GET /api/me/work': work(),
      'PUT /api/me/sittings/s9/responses': new Refusal(404, 'The sitting was not found.'),
      'DELETE /api/me': null,
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Leave' }))
    expect(await screen.findByText(/1 answer could not be sent and stays on this device/)).toBeTruthy()
    expect(sent('DELETE', '/api/me')).toHaveLength(1)
    expect((await deviceStore().of('s9')).map((kept) => kept.value)).toEqual([{ text: 'typed on the bus' }])
  })
})
