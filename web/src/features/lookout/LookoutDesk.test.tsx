import { act, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { bodies, sent, serve, serveAlso } from '@/testing/server'
import LookoutDesk from './LookoutDesk'
import { row, snapshot } from './testing'

class Stream {
  static open: Stream[] = []
  static OPEN = 1
  static CLOSED = 2
  readyState = 1
  onopen?: () => void
  onmessage?: (e: { data: string }) => void
  onerror?: () => void
  constructor(readonly url: string) {
    Stream.open.push(this)
  }
  close() {}
  say(message: unknown) {
    act(() => this.onmessage?.({ data: JSON.stringify(message) }))
  }
}

const rows = [
  row('Ada', { cells: { e1: { code: 'wrong', try: 1 } }, marks: 0, of: 1, rung: 1, at: 'e2' }),
  row('Benoît', { cells: { e1: { code: 'right', try: 1 }, e2: { code: 'right', try: 1 } }, marks: 2, of: 2, rung: 3 }),
  row('Cleo', { sittingId: null, state: 'expected', at: null }),
]
const names = () => screen.getAllByRole('rowheader').map((th) => (th.textContent ?? '').replace(/not here$/, ''))
const open = () => show(<LookoutDesk />, '/lookout/h1', '/lookout/:id')

beforeEach(() => {
  Stream.open = []
  vi.stubGlobal('EventSource', Stream)
  serve({ 'GET /api/handouts/h1/lookout': snapshot(rows), 'POST /api/handouts/h1/close': { handedIn: 2 } })
})

describe('The Lookout', () => {
  it('lists calls in the order they came, and sees to one with a way back', async () => {
    const call = (id: string, madeAt: string, words = '') => ({ id, kind: 'stuck', entry: 'e2', words, madeAt })
    serve({
      'GET /api/handouts/h1/lookout': snapshot([
        row('Ada', { call: call('c2', '2026-11-27T10:05:00Z', 'Which side?') }),
        row('Benoît', { call: call('c1', '2026-11-27T10:01:00Z') }),
        row('Cleo'),
      ]),
      'POST /api/sittings/s-Ada/calls/c2/settle': {},
      'POST /api/sittings/s-Ada/calls/c2/unsettle': {},
    })
    const user = open()
    const calls = within((await screen.findByRole('heading', { name: 'Calls' })).parentElement as HTMLElement)
    expect(
      calls.getAllByRole('listitem').map((li) => li.textContent?.match(/^(Ada|Benoît) stuck · question 2/)?.[1]),
    ).toEqual(['Benoît', 'Ada'])
    await user.click(screen.getByRole('radio', { name: 'Calls 2' }))
    expect(screen.getAllByRole('rowheader')).toHaveLength(2)
    await user.click(calls.getByRole('button', { name: /^Seen to.*Ada/ }))
    await user.click(await screen.findByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(sent('POST', '/api/sittings/s-Ada/calls/c2/unsettle')).toHaveLength(1))
  })

  it('holds all with words by one key, and releases them by it', async () => {
    serve({
      'GET /api/handouts/h1/lookout': snapshot(rows),
      'POST /api/handouts/h1/hold': {},
      'POST /api/handouts/h1/release': {},
    })
    const user = open()
    await screen.findByText('Ada')
    await user.keyboard('h')
    serveAlso({ 'GET /api/handouts/h1/lookout': snapshot(rows.map((r) => ({ ...r, held: true }))) })
    await user.type(await screen.findByLabelText(/^Words on their screens/), 'Eyes up{Enter}')
    expect(await screen.findByRole('button', { name: /^Release all/ })).toBeTruthy()
    expect(bodies('POST', '/api/handouts/h1/hold')).toEqual([{ students: null, words: 'Eyes up' }])
    await user.keyboard('h')
    await waitFor(() => expect(bodies('POST', '/api/handouts/h1/release')).toEqual([{ students: null }]))
  })

  it('sorts by silence: whoever has entered nothing for longest comes first', async () => {
    serve({
      'GET /api/handouts/h1/lookout': snapshot([
        row('Ada', { stirredAt: '2026-11-27T10:05:00.000Z' }),
        row('Benoît', { state: 'handed in', stirredAt: '2026-11-27T09:00:00.000Z' }),
        row('Cleo', { stirredAt: '2026-11-27T10:01:00.000Z' }),
      ]),
    })
    const user = open()
    await screen.findByText('Ada')
    await user.keyboard('4')
    expect(names().map((n) => n.replace(/handed in$/, ''))).toEqual(['Cleo', 'Ada', 'Benoît'])
  })

  it('counts who is here, and sorts by credit and progress', async () => {
    const user = open()
    expect(await screen.findByText('2 joined of 3 · 0 handed in')).toBeTruthy()
    expect(names()).toEqual(['Ada', 'Benoît', 'Cleo'])
    await user.keyboard('2')
    expect(names()).toEqual(['Benoît', 'Ada', 'Cleo'])
    await user.keyboard('1')
    expect(names()).toEqual(['Ada', 'Benoît', 'Cleo'])
  })

  it('hides every name by one key, and the numbers do not follow the alphabet', async () => {
    const user = open()
    await screen.findByText('Ada')
    vi.spyOn(Math, 'random').mockReturnValueOnce(0.9).mockReturnValueOnce(0.5).mockReturnValueOnce(0.1)
    await user.keyboard('n')
    expect(names()).toEqual(['Student 1', 'Student 2', 'Student 3'])
    // Cleo, the last by name, is the one who is not here.
    expect(screen.getByRole('row', { name: /Student 1/ }).textContent).toContain('not here')
    expect(document.body.textContent).not.toMatch(/Ada|Benoît|Cleo/)
    await user.keyboard('n')
    expect(names()).toEqual(['Ada', 'Benoît', 'Cleo'])
  })

  it('shows an answer as it comes, and nothing older than what is shown', async () => {
    open()
    await screen.findByText('Ada')
    const cleo = () => within(screen.getByText('Cleo').closest('tr') as HTMLElement)
    expect(cleo().getByText('not here')).toBeTruthy()
    const stream = Stream.open.at(-1) as Stream
    expect(stream.url).toBe('/api/handouts/h1/live')
    stream.say({
      n: 41,
      kind: 'row',
      row: row('Cleo', { revision: 3, cells: { e1: { code: 'right', try: 1 } }, marks: 1, of: 1, rung: 3 }),
    })
    await waitFor(() => expect(cleo().queryByText('not here')).toBeNull())
    expect(cleo().getByText('1 of 1')).toBeTruthy()
    stream.say({ n: 42, kind: 'row', row: row('Cleo', { revision: 2, cells: {} }) })
    stream.say({
      n: 43,
      kind: 'row',
      row: row('Ada', { revision: 2, marks: 1, of: 1, cells: { e1: { code: 'right', try: 1 } } }),
    })
    await waitFor(() => expect(screen.getAllByText('1 of 1')).toHaveLength(2))
  })

  it('asks for the whole picture after each connection', async () => {
    open()
    await screen.findByText('Ada')
    const before = sent('GET', '/api/handouts/h1/lookout').length
    await act(async () => Stream.open.at(-1)?.onopen?.())
    expect(await screen.findByText('live')).toBeTruthy()
    expect(sent('GET', '/api/handouts/h1/lookout').length).toBe(before + 1)
  })

  it('says plainly that nobody is at work when it closes', async () => {
    serve({
      'GET /api/handouts/h1/lookout': snapshot([row('Ada', { state: 'handed in' })]),
      'POST /api/handouts/h1/close': { handedIn: 0 },
    })
    const user = open()
    await screen.findByText('Ada')
    await user.click(screen.getByRole('button', { name: 'Close' }))
    expect(await screen.findByText(/Nobody is at work/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Close the handout' }))
    expect(await screen.findByText('Closed. Nobody was at work any more.')).toBeTruthy()
    expect(sent('POST', '/api/handouts/h1/close')).toHaveLength(1)
  })

  it('finds the silent ones', async () => {
    const user = open()
    await user.click(await screen.findByRole('radio', { name: 'Silent 1' }))
    expect(names()).toEqual(['Cleo'])
  })

  it('closes only after saying what that does', async () => {
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Close' }))
    const dialog = within(await screen.findByRole('alertdialog', { name: 'Close this handout?' }))
    expect(sent('POST', '/api/handouts/h1/close')).toEqual([])
    await user.click(dialog.getByRole('button', { name: 'Close and hand in 2 open sittings' }))
    expect(await screen.findByText(/What students had entered has been handed in/)).toBeTruthy()
    expect(sent('POST', '/api/handouts/h1/close')).toHaveLength(1)
  })

  it('opens one student’s work again, and a reply leads straight to its work', async () => {
    const work = {
      sittingId: 's-Ada',
      state: 'handed in',
      attempt: 1,
      marks: '0',
      of: '2',
      reply: 'Why?',
      late: [],
      aside: [],
    }
    const answer = { entry: 'e1', try: 1, number: 4, ownNumber: 3, title: 'Range', given: '3', verdict: 'wrong' }
    const answers = [{ ...answer, key: '', comment: '', misconceptions: [], seconds: null, confidence: null }]
    serve({
      'GET /api/handouts/h1/lookout': snapshot([row('Ada', { state: 'handed in' }), row('Benoît')]),
      'GET /api/sittings/s-Ada': { ...work, answers },
      'POST /api/sittings/s-Ada/reopen': { ...work, state: 'open', answers },
    })
    const user = show(<LookoutDesk />, '/lookout/h1?work=s-Ada', '/lookout/:id')
    expect(await screen.findByText(/3 on their paper/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Open again for Ada' }))
    expect(await screen.findByText('Ada can go on where they stood.')).toBeTruthy()
    expect(sent('POST', '/api/sittings/s-Ada/reopen')).toHaveLength(1)
  })

  it('gives one student more time than the others', async () => {
    const timed = snapshot(rows)
    timed.handout.closesAt = '2026-11-02T10:00:00Z'
    timed.rows = [row('Cleo', { sittingId: null, state: 'expected', extraMinutes: 10 })]
    serve({
      'GET /api/handouts/h1/lookout': timed,
      'PUT /api/handouts/h1/students/Cleo/extra-time': null,
    })
    const user = open()
    await user.click(await screen.findByText('Cleo'))
    expect(await screen.findByText(/10 minutes beyond the others/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Ten more minutes' }))
    await user.click(screen.getByRole('button', { name: 'No extra time' }))
    expect(sent('PUT', '/api/handouts/h1/students/Cleo/extra-time').map((s) => s.body)).toEqual([
      { minutes: 20 },
      { minutes: 0 },
    ])
  })

  it('opens one student’s work beside the picture, and leafs by keys', async () => {
    const work = (student: string) => ({
      sittingId: '',
      student,
      state: 'open',
      attempt: 1,
      marks: '0',
      of: '2',
      message: '',
      reply: null,
      late: [],
      aside: [],
      answers: [
        {
          entry: 'e1',
          try: 1,
          number: 1,
          ownNumber: 1,
          title: 'Range',
          given: `${student} wrote this`,
          verdict: 'wrong',
          key: '3.9 m',
          comment: '',
          misconceptions: ['adds instead of subtracts'],
        },
      ],
    })
    serve({
      'GET /api/handouts/h1/lookout': snapshot(rows),
      'GET /api/sittings/s-Ada': work('Ada'),
      'GET /api/sittings/s-Beno%C3%AEt': work('Benoît'),
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Ada' }))
    expect(await screen.findByText('Ada wrote this')).toBeTruthy()
    expect(screen.getByText('key: 3.9 m')).toBeTruthy()
    expect(screen.getByText('adds instead of subtracts')).toBeTruthy()
    await user.keyboard('j')
    expect(await screen.findByText('Benoît wrote this')).toBeTruthy()
    await user.keyboard('{Escape}')
    expect(screen.queryByText('Benoît wrote this')).toBeNull()
  })
})
