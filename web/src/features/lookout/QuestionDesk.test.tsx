import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { bodies, serve, serveAlso } from '@/testing/server'
import QuestionDesk from './QuestionDesk'
import { row, snapshot, wall } from './testing'

vi.stubGlobal(
  'EventSource',
  class {
    close() {}
  },
)
const one: Schemas['LookoutOneQuestionView'] = {
  entry: 'e2',
  number: 2,
  title: 'Buoy',
  face: {
    type: 'choice',
    prompt: '<p>Which buoy?</p>',
    hints: [],
    asksConfidence: false,
    asksWorking: false,
    goBack: null,
    several: false,
    options: [
      { id: 'a', text: '<p>red</p>' },
      { id: 'b', text: '<p>green</p>' },
    ],
  },
  answers: [
    { studentId: 'Ada', code: 'right', given: 'A red', savedAt: '2026-11-27T10:00:00Z', response: { options: ['a'] } },
    {
      studentId: 'Benoît',
      code: 'wrong',
      given: 'B green',
      savedAt: '2026-11-27T10:01:00Z',
      response: { options: ['b'] },
    },
  ],
  hands: null,
  keyless: null,
  shift: { toKey: 9, fromKey: 1, keptKey: 12, keptOther: 3 },
  groups: [
    { letter: 'A', label: 'red', code: 'right', students: ['Ada'], misconception: '' },
    { letter: 'B', label: 'green', code: 'wrong', students: ['Benoît'], misconception: 'Mixes up the sides' },
  ],
}
const open = () => show(<QuestionDesk />, '/lookout/h1/e2', '/lookout/:id/:entry')

beforeEach(() =>
  serve({
    'GET /api/handouts/h1/lookout': snapshot([
      row('Ada'),
      row('Benoît'),
      row('Cleo', { state: 'expected', sittingId: null }),
    ]),
    'GET /api/handouts/h1/lookout/e2': one,
    'POST /api/handouts/h1/notes': {},
    'POST /api/handouts/h1/hold': {},
    'GET /api/handouts/h1/wall': wall(),
    'PUT /api/handouts/h1/wall': wall({ entry: 'e2' }),
    'POST /api/handouts/h1/counts/e2': wall({ entry: 'e2' }),
  }),
)

describe('One question of a running handout', () => {
  it('shows what each of those here has given, and how it splits and why', async () => {
    open()
    expect(await screen.findByText(/answered by 2 of 2 here/)).toBeTruthy()
    const split = screen.getByRole('heading', { name: 'Which options are picked?' }).parentElement as HTMLElement
    expect(within(split).getByText('Mixes up the sides')).toBeTruthy()
    expect(screen.queryByText('Cleo')).toBeNull()
  })

  it('counts nobody who has left it blank, and says so of whoever has handed in', async () => {
    const blank = (studentId: string) => ({
      studentId,
      code: 'blank',
      given: '',
      savedAt: '2026-11-27T10:00:00Z',
      response: null,
    })
    serveAlso({
      'GET /api/handouts/h1/lookout': snapshot([row('Ada'), row('Benoît'), row('Cleo', { state: 'handed in' })]),
      'GET /api/handouts/h1/lookout/e2': {
        ...one,
        answers: [...one.answers.slice(0, 1), blank('Benoît'), blank('Cleo')],
      },
    })
    open()
    expect(await screen.findByText(/answered by 1 of 3 here/)).toBeTruthy()
    const card = (name: string) => screen.getByRole('link', { name }).closest('li')?.textContent ?? ''
    expect(card('Benoît')).toContain('nothing yet')
    expect(card('Cleo')).toContain('left blank')
  })

  it('opens a group to who gave it, and writes to each of them', async () => {
    const user = open()
    await user.click(await screen.findByRole('button', { name: /^B.*green/ }))
    await user.type(screen.getByLabelText('A note to the 1'), 'Think of the side.{Enter}')
    await waitFor(() =>
      expect(bodies('POST', '/api/handouts/h1/notes')).toMatchObject([
        { student: 'Benoît', entry: 'e2', words: 'Think of the side.', file: null },
      ]),
    )
  })

  it('counts raised hands before and after a talk, in the place of the devices', async () => {
    let now: typeof one = { ...one, shift: null }
    serveAlso({
      'GET /api/handouts/h1/lookout/e2': () => now,
      'PUT /api/handouts/h1/hands/e2': ({ body }: { body: unknown }) => {
        now = { ...now, hands: body as NonNullable<typeof one.hands> }
        return wall({ entry: 'e2', byHands: true })
      },
      'DELETE /api/handouts/h1/hands/e2': () => {
        now = { ...now, hands: null }
        return wall({ entry: 'e2' })
      },
    })
    const user = open()
    const count = async (button: string, hands: Record<string, string>) => {
      await user.click(await screen.findByRole('button', { name: button }))
      for (const [letter, n] of Object.entries(hands)) {
        await user.tripleClick(screen.getByLabelText(letter))
        await user.keyboard(n)
      }
      await user.click(screen.getByRole('button', { name: 'Keep the count' }))
    }
    await count('Count raised hands', { A: '9', B: '15' })
    await count('Count after the talk', { A: '20' })
    const line = await screen.findByRole('row', { name: 'A 9 20' })
    expect(line).toBeTruthy()
    expect(bodies('PUT', '/api/handouts/h1/hands/e2')).toEqual([
      { first: { A: 9, B: 15 }, now: null },
      { first: { A: 9, B: 15 }, now: { A: 20, B: 0 } },
    ])
    // What is on devices is not counted beside them.
    expect(screen.queryByRole('button', { name: /let them talk/ })).toBeNull()
    await count('Change the first count', { A: '10' })
    await screen.findByRole('row', { name: 'A 10 20' })
    await user.click(screen.getByRole('button', { name: 'Forget the hands' }))
    expect(await screen.findByRole('button', { name: 'Count, then let them talk' })).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Undo' }))
    expect(await screen.findByRole('row', { name: 'A 10 20' })).toBeTruthy()
  })

  it('puts the question on the wall, shows the key by a second act, and says what moved since the first count', async () => {
    const user = open()
    expect(await screen.findByText(/went to the key/)).toBeTruthy()
    expect(document.body.textContent).toContain('Since the first count 9 went to the key, 1 left it')
    expect(screen.queryByRole('button', { name: 'Show the key' })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Show this question' }))
    await user.click(await screen.findByRole('button', { name: 'Show the key' }))
    expect(bodies('PUT', '/api/handouts/h1/wall')).toEqual([
      { entry: 'e2', key: false },
      { entry: 'e2', key: true },
    ])
    await user.click(screen.getByRole('button', { name: 'Count anew' }))
    expect(bodies('POST', '/api/handouts/h1/counts/e2')).toHaveLength(1)
  })

  it('hides names here and stays so, and holds all by a key', async () => {
    const user = open()
    await screen.findByText('Ada')
    await user.keyboard('n')
    expect(document.body.textContent).not.toMatch(/Ada|Benoît/)
    await user.click(screen.getByRole('button', { name: /^B.*green/ }))
    expect(document.body.textContent).not.toMatch(/Ada|Benoît/)
    await user.keyboard('n')
    expect(screen.getAllByText('Ada')).toBeTruthy()
    await user.keyboard('h')
    await user.type(await screen.findByLabelText(/^Words on their screens/), 'Stop{Enter}')
    await waitFor(() => expect(bodies('POST', '/api/handouts/h1/hold')).toEqual([{ students: null, words: 'Stop' }]))
  })
})
