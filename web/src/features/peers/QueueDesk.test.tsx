import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve, serveAlso } from '@/testing/server'
import QueueDesk from './QueueDesk'

const question = {
  prompt: 'What comes after high water?',
  options: [
    { text: 'the ebb', why: '' },
    { text: 'the flood', why: 'Turns them round' },
  ],
  key: 0,
  because: '',
}
const proposal = (change: object = {}) => ({
  id: 'p1',
  student: 'Ada Norwood',
  question,
  state: 'waiting',
  words: '',
  shown: false,
  named: false,
  itemId: null,
  writtenAt: '2026-11-03T10:00:00Z',
  taken: [0, 0],
  ...change,
})
const invitation = {
  id: 'i1',
  topic: 'Tides',
  class: '8 Heron',
  openedBy: 'Maren',
  openedAt: '2026-11-03T09:00:00Z',
  open: true,
  waiting: 1,
  sentBack: 0,
  letIn: 0,
}
const queue = (change: object = {}) => ({
  invitation,
  proposals: [proposal(change), proposal({ id: 'p2', student: 'Bo Reed' })],
})

beforeEach(() => {
  sessionStorage.clear()
  serve({
    'GET /api/invitations': { invitations: [invitation] },
    'GET /api/invitations/i1': queue(),
    'GET /api/classes': { classes: [{ id: 'c1', name: '8 Heron', code: 'HERON', students: 2 }] },
    'POST /api/invitations': { invitations: [invitation] },
    'POST /api/proposals/p1/show': queue({ shown: true }),
    'POST /api/proposals/p1/hide': queue(),
    'POST /api/proposals/p1/let-in': queue({ state: 'let in', itemId: 'q9' }),
    'POST /api/proposals/p1/take-back': queue(),
    'POST /api/proposals/p1/send-back': queue({ state: 'sent back', words: 'Two are right.' }),
  })
})

describe('Questions by students', () => {
  it('are shown to the class and taken off again, with the writer named or not', async () => {
    const user = show(<QueueDesk />)
    await user.click(await screen.findByRole('button', { name: 'Show it to 8 Heron' }))
    const undo = await screen.findByRole('button', { name: 'Undo' })
    // The first message of a page lets itself be pressed a moment after it is drawn.
    await waitFor(() => user.click(undo))
    await waitFor(() => expect(sent('POST', '/api/proposals/p1/hide')).toHaveLength(1))
    await user.click(await screen.findByLabelText('Name Ada Norwood with it'))
    await user.keyboard('s')
    await waitFor(() => expect(bodies('POST', '/api/proposals/p1/show')).toEqual([{ named: false }, { named: true }]))
  })

  it('are let into the bank by a key, and lead there', async () => {
    const user = show(<QueueDesk />)
    await screen.findByRole('button', { name: /Let it into the bank/ })
    await user.keyboard('l')
    expect((await screen.findByRole('link', { name: 'Improve it there' })).getAttribute('href')).toBe('/bank/q9')
    await user.click(screen.getByRole('button', { name: 'Take it out of the bank' }))
    expect(await screen.findByRole('button', { name: /Let it into the bank/ })).toBeTruthy()
  })

  it('stay on the desk once they are let in, wherever the list puts them', async () => {
    const after = queue({ state: 'let in', itemId: 'q9' })
    const moved = { ...after, proposals: [...after.proposals].reverse() }
    serveAlso({ 'POST /api/proposals/p1/let-in': moved })
    const user = show(<QueueDesk />)
    await user.click(await screen.findByRole('button', { name: /Let it into the bank/ }))
    expect(await screen.findByRole('link', { name: 'Improve it there' })).toBeTruthy()
    expect(screen.getByRole('article', { name: 'The question of Ada Norwood' })).toBeTruthy()
  })

  it('are sent back with words, which a refusal keeps', async () => {
    serveAlso({
      'POST /api/proposals/p1/send-back': new Refusal(409, 'This question is in the bank.', 'Take it back first.'),
    })
    const user = show(<QueueDesk />)
    await user.click(await screen.findByRole('button', { name: 'Send it back' }))
    expect(screen.getByText('✕ Say what is to be changed.')).toBeTruthy()
    await user.type(screen.getByLabelText('Words to its writer'), 'Two are right.')
    await user.click(screen.getByRole('button', { name: 'Send it back' }))
    expect((await screen.findByRole('alert')).textContent).toContain('Take it back first.')
    expect(screen.getByLabelText<HTMLTextAreaElement>('Words to its writer').value).toBe('Two are right.')
    serveAlso({ 'POST /api/proposals/p1/send-back': queue({ state: 'sent back', words: 'Two are right.' }) })
    await user.click(screen.getByRole('button', { name: 'Send it back' }))
    expect(await screen.findByText(/It is Ada Norwood’s turn/)).toBeTruthy()
  })

  it('say who took which option, and are gone through by keys', async () => {
    serveAlso({ 'GET /api/invitations/i1': queue({ shown: true, taken: [3, 1] }) })
    const user = show(<QueueDesk />)
    const sheet = await screen.findByRole('article', { name: 'The question of Ada Norwood' })
    expect(within(sheet).getByText(/3 of 4/)).toBeTruthy()
    expect(screen.getByText(/3 of 4 students took the right one/)).toBeTruthy()
    await user.keyboard('j')
    expect(await screen.findByRole('article', { name: 'The question of Bo Reed' })).toBeTruthy()
  })

  it('are asked for once, however often it is sent', async () => {
    serveAlso({ 'GET /api/invitations': { invitations: [] }, 'POST /api/invitations': new Refusal(503, 'Try again.') })
    const user = show(<QueueDesk />)
    await screen.findByText('No class has been asked yet')
    await user.keyboard('n')
    const dialog = within(await screen.findByRole('dialog'))
    await user.click(await dialog.findByRole('button', { name: 'Ask 8 Heron' }))
    expect(dialog.getByText('✕ Say what the questions are to be about.')).toBeTruthy()
    await user.type(dialog.getByLabelText('What are the questions to be about?'), 'Tides')
    await user.click(dialog.getByRole('button', { name: 'Ask 8 Heron' }))
    await dialog.findByRole('alert')
    serveAlso({ 'POST /api/invitations': { invitations: [invitation] } })
    await user.click(dialog.getByRole('button', { name: 'Ask 8 Heron' }))
    await screen.findByText('The class is asked. It stands in their work now.')
    const [first, again] = bodies('POST', '/api/invitations')
    expect(again).toEqual(first)
    expect(again).toMatchObject({ classId: 'c1', topic: 'Tides' })
  })
})
