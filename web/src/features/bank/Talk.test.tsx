import { screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Item } from '@/answers/kinds'
import { blankItem } from '@/answers/registry'
import { pickFrom, show } from '@/testing/page'
import { bodies, Refusal, sent, serve, serveAlso } from '@/testing/server'
import { Talk } from '@/ui/Talk'
import { partsOf } from './remarkParts'

const blank = blankItem('choice') as Extract<Item, { type: 'choice' }>
const options = blank.rule.options.slice(0, 2).map((o, i) => ({ ...o, text: `<p>${['3.9 m', '3.6 m'][i]}</p>` }))
const item: Item = { ...blank, rule: { ...blank.rule, options } }
const remark = (change: object) => ({
  id: 'r1',
  part: 'b',
  text: 'Half of 8 Tern read it off the poster.',
  by: 'Idris',
  at: '2026-11-03T10:00:00Z',
  own: false,
  settledBy: null,
  settledAt: null,
  ...change,
})
beforeEach(() => {
  sessionStorage.clear()
  serve({
    'GET /api/items/i1/remarks': { remarks: [remark({})] },
    'POST /api/items/i1/remarks': {
      remarks: [remark({}), remark({ id: 'r2', part: '', text: 'Fair enough.', own: true })],
    },
    'POST /api/remarks/r1/settle': { remarks: [remark({ settledBy: 'Suvi' })] },
    'POST /api/remarks/r1/reopen': { remarks: [remark({})] },
    'DELETE /api/remarks/r2': { remarks: [remark({})] },
  })
})
const open = () => show(<Talk about={{ on: 'items', id: 'i1', parts: partsOf(item) }} />)
const field = () => screen.getByLabelText<HTMLTextAreaElement>('A remark to the team')

describe('Talk about a question', () => {
  it('names the part that a remark is pinned to', async () => {
    open()
    expect(await screen.findByText(/Half of 8 Tern/)).toBeTruthy()
    expect(screen.getByText(/on B 3.6 m/)).toBeTruthy()
    expect(partsOf(item).map((p) => p.label)).toEqual(['the whole question', 'what is asked', 'A 3.9 m', 'B 3.6 m'])
    expect(screen.queryByRole('button', { name: 'Take out' })).toBeNull()
  })

  it('takes a remark to a part, and is empty for the next', async () => {
    const user = open()
    await user.type(field(), 'Fair enough.')
    await pickFrom(user, screen.getByLabelText('It is about'), 'B 3.6 m')
    await user.click(screen.getByRole('button', { name: 'Say it' }))
    expect(await screen.findByText('Fair enough.', { selector: 'p' })).toBeTruthy()
    expect(bodies('POST', '/api/items/i1/remarks')).toMatchObject([{ text: 'Fair enough.', part: 'b' }])
    expect(field().value).toBe('')
    expect(sessionStorage.length).toBe(0)
    await user.click(screen.getByRole('button', { name: 'Take out' }))
    await waitFor(() => expect(screen.queryByText('Fair enough.')).toBeNull())
  })

  it('keeps what was typed when it cannot be sent, and sends the same one again', async () => {
    serveAlso({ 'POST /api/items/i1/remarks': new Refusal(503, 'The server is not there.') })
    const user = open()
    await user.type(field(), 'Not fair.')
    await user.click(screen.getByRole('button', { name: 'Say it' }))
    expect(await screen.findByText(/not there/)).toBeTruthy()
    expect(field().value).toBe('Not fair.')
    expect(sessionStorage.getItem('chalk.unsaved.remark-i1')).toContain('Not fair.')
    await user.click(screen.getByRole('button', { name: 'Say it' }))
    await waitFor(() => expect(sent('POST', '/api/items/i1/remarks')).toHaveLength(2))
    const [one, two] = bodies('POST', '/api/items/i1/remarks') as { id: string }[]
    expect(one?.id).toBe(two?.id)
  })

  it('is settled, told by whom, and opened again', async () => {
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Settled' }))
    await user.click(await screen.findByRole('button', { name: '1 settled remark' }))
    expect(await screen.findByText('settled by Suvi')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Open it again' }))
    expect(await screen.findByRole('button', { name: 'Settled' })).toBeTruthy()
  })
})

describe('A paper', () => {
  it('is talked of by its sections and questions', async () => {
    const said = { remarks: [remark({ part: 's2' })] }
    serveAlso({ 'GET /api/papers/p1/remarks': said, 'POST /api/papers/p1/remarks': said })
    const parts = [
      { value: '', label: 'the whole paper' },
      { value: 's2', label: 'Second look' },
    ]
    const user = show(<Talk about={{ on: 'papers', id: 'p1', parts }} />)
    expect(await screen.findByText(/on Second look/)).toBeTruthy()
    await user.type(screen.getByLabelText('A remark to the team'), 'Too long.')
    await pickFrom(user, screen.getByLabelText('It is about'), 'Second look')
    await user.click(screen.getByRole('button', { name: 'Say it' }))
    await waitFor(() =>
      expect(bodies('POST', '/api/papers/p1/remarks')).toMatchObject([{ text: 'Too long.', part: 's2' }]),
    )
  })
})
