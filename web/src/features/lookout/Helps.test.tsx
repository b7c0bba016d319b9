import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { bodies, sent, serve } from '@/testing/server'
import LookoutDesk from './LookoutDesk'
import { row, snapshot } from './testing'

const call = { id: 'c1', kind: 'stuck', entry: 'e2', words: '', madeAt: '2026-11-27T10:05:00Z' }
const line = (id: string, words: string, held: string | null, through = false) => ({
  id,
  byHelper: true,
  words,
  saidAt: '2026-11-27T10:06:00Z',
  held,
  let: through,
})
const help = (state: string, lines: unknown[] = []) => ({
  id: `p-${state}`,
  entry: 'e2',
  helpedId: 'Ada',
  helpedAs: 'Galley',
  helperId: 'Benoît',
  helperAs: 'Jetty',
  state,
  overBy: state === 'over' ? 'helper' : null,
  askedAt: '2026-11-27T10:05:30Z',
  lines,
})
const withHelps = (helps: unknown[], more = {}) =>
  serve({
    'GET /api/handouts/h1/lookout': snapshot([row('Ada', { call }), row('Benoît')]),
    'GET /api/handouts/h1/helps': { helps },
    ...more,
  })
const open = () => show(<LookoutDesk />, '/lookout/h1', '/lookout/:id')

beforeEach(() => {
  vi.stubGlobal(
    'EventSource',
    class {
      close() {}
    },
  )
})

describe('Help in the Lookout', () => {
  it('asks one who has it right, at a call, and sees to the call', async () => {
    withHelps([], {
      'GET /api/sittings/s-Ada/helpers/e2': {
        helpers: [
          { id: 'Cleo', name: 'Cleo', done: true },
          { id: 'Benoît', name: 'Benoît', done: false },
        ],
      },
      'POST /api/sittings/s-Ada/helps': {},
      'POST /api/sittings/s-Ada/calls/c1/settle': {},
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Find help for Ada' }))
    await user.click(await screen.findByRole('radio', { name: 'Benoît, at work' }))
    await user.click(screen.getByRole('button', { name: 'Ask Benoît' }))
    await waitFor(() => expect(sent('POST', '/api/sittings/s-Ada/calls/c1/settle')).toHaveLength(1))
    expect(bodies('POST', '/api/sittings/s-Ada/helps')).toMatchObject([{ entry: 'e2', helper: 'Benoît' }])
  })

  it('says that nobody is free', async () => {
    withHelps([], { 'GET /api/sittings/s-Ada/helpers/e2': { helpers: [] } })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Find help for Ada' }))
    await screen.findByText(/Nobody is free who has this question right/)
    expect(screen.queryByRole('button', { name: /^Ask/ })).toBeNull()
  })

  it('lists what is said with who says it, lets through what was held, and stops with a way back', async () => {
    withHelps([help('on', [line('l1', 'Look at the log', null), line('l2', 'I am Benoît', 'a name')]), help('over')], {
      'POST /api/helps/p-on/lines/l2/let': {},
      'DELETE /api/helps/p-on': {},
      'POST /api/helps/p-on/resume': {},
    })
    const user = open()
    const box = within((await screen.findByRole('heading', { name: 'Students help' })).parentElement as HTMLElement)
    expect(box.getByText(/known as Jetty and Galley/)).toBeTruthy()
    expect(box.getByText('1 help over')).toBeTruthy()
    expect(box.getAllByRole('button', { name: 'Let it through' })).toHaveLength(1)
    await user.click(box.getByRole('button', { name: 'Let it through' }))
    await user.click(box.getByRole('button', { name: /^Stop/ }))
    await user.click(await screen.findByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(sent('POST', '/api/helps/p-on/resume')).toHaveLength(1))
    expect(sent('POST', '/api/helps/p-on/lines/l2/let')).toHaveLength(1)
  })
})
