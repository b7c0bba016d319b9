import { cleanup, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, serve, serveAlso } from '@/testing/server'
import OwnQuestions from './OwnQuestions'

const own = (change: object = {}) => ({
  id: 'p1',
  question: {
    prompt: 'Which way is 090°?',
    options: [
      { text: 'east', why: '' },
      { text: 'west', why: 'Turns the wrong way' },
    ],
    key: 0,
    because: '',
  },
  version: 3,
  state: 'sent back',
  words: 'Find a third answer.',
  mayChange: true,
  shown: false,
  named: false,
  taken: [],
  ...change,
})
const other = {
  id: 'p7',
  version: 2,
  by: null,
  prompt: 'Is 45° a bearing?',
  options: ['no', 'yes'],
  picked: null,
  key: null,
  why: '',
  because: '',
}
const with_ = (change: object) => ({
  invitations: [{ id: 'i1', topic: 'Bearings', open: true, own: [], others: [], ...change }],
})
let student = 's1'

beforeEach(() => {
  localStorage.clear()
  student = 's1'
  serve({
    'GET /api/me': () => ({ name: 'Ada', id: student }),
    'GET /api/me/invitations': with_({}),
  })
})
const page = () => show(<OwnQuestions />)
/** A new one gets an id of its own, so it is answered by whatever id it comes with. */
const takes = (reply: unknown) => {
  const id = crypto.randomUUID
  crypto.randomUUID = () => '00000000-0000-4000-8000-000000000001'
  serveAlso({ 'PUT /api/me/proposals/00000000-0000-4000-8000-000000000001': reply })
  return () => (crypto.randomUUID = id)
}
const PUT = '/api/me/proposals/00000000-0000-4000-8000-000000000001'

describe('A student’s questions', () => {
  it('are written with a reason for each wrong answer; what is missing stands where it is, and nothing typed goes', async () => {
    const restore = takes(new Refusal(422, 'No.', '', { 'options.0.why': 'Say why somebody would take this one.' }))
    const user = page()
    await user.type(await screen.findByLabelText('What do you ask?'), 'Which way is 270°?')
    await user.type(screen.getByLabelText('Answer A, the right one'), 'east')
    await user.type(screen.getByLabelText('Answer B'), 'west')
    await user.click(screen.getByRole('button', { name: 'Take answer C out' }))
    await user.click(screen.getByRole('radio', { name: 'B is right' }))
    await user.type(screen.getByLabelText('Why would somebody take it?'), 'Turns round')
    await user.click(screen.getByRole('button', { name: 'Send it to your teacher' }))
    const missing = await screen.findByText('✕ Say why somebody would take this one.')
    await waitFor(() => expect(document.activeElement?.getAttribute('aria-describedby')).toBe(missing.id))
    expect(screen.getByLabelText<HTMLTextAreaElement>('What do you ask?').value).toBe('Which way is 270°?')
    serveAlso({ [`PUT ${PUT}`]: with_({ own: [own({ state: 'waiting', words: '' })] }) })
    await user.click(screen.getByRole('button', { name: 'Send it to your teacher' }))
    expect(await screen.findByText('Your teacher reads it.')).toBeTruthy()
    expect(bodies('PUT', PUT).at(-1)).toEqual({
      invitationId: 'i1',
      version: 0,
      question: {
        prompt: 'Which way is 270°?',
        options: [
          { text: 'east', why: 'Turns round' },
          { text: 'west', why: '' },
        ],
        key: 1,
        because: '',
      },
    })
    restore()
  })

  it('that are not sent yet are there again, for whoever typed them and nobody else', async () => {
    const user = page()
    await user.type(await screen.findByLabelText('What do you ask?'), 'Half a quest')
    cleanup()
    page()
    expect((await screen.findByLabelText<HTMLTextAreaElement>('What do you ask?')).value).toBe('Half a quest')
    cleanup()
    student = 's2'
    page()
    expect((await screen.findByLabelText<HTMLTextAreaElement>('What do you ask?')).value).toBe('')
  })

  it('that were sent back say why, and are changed from the version that was read', async () => {
    serveAlso({
      'GET /api/me/invitations': with_({ own: [own()] }),
      'PUT /api/me/proposals/p1': with_({ own: [own({ state: 'waiting', words: '', version: 4 })] }),
    })
    const user = page()
    expect(await screen.findByText('“Find a third answer.”')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Change it' }))
    await user.click(screen.getByRole('button', { name: 'One more answer' }))
    await user.type(screen.getByLabelText('Answer C'), 'south')
    await user.click(screen.getByRole('button', { name: 'Send it to your teacher' }))
    await screen.findByText('Your teacher reads it.')
    expect(bodies('PUT', '/api/me/proposals/p1')).toMatchObject([
      { version: 3, question: { options: [{}, {}, { text: 'south' }] } },
    ])
  })

  it('of others are answered once, then told', async () => {
    const told = { ...other, picked: 1, key: 0, why: 'Every angle is one', because: 'It needs three figures.' }
    serveAlso({
      'GET /api/me/invitations': with_({
        own: [own({ mayChange: false, shown: true, taken: [2, 1] })],
        others: [other],
      }),
      'POST /api/me/proposals/p7/answer': with_({ others: [told] }),
    })
    const user = page()
    const theirs = within(await screen.findByRole('article', { name: 'A question of your class' }))
    expect(theirs.getByRole<HTMLButtonElement>('button', { name: 'Answer' }).disabled).toBe(true)
    await user.click(theirs.getByRole('radio', { name: 'yes' }))
    await user.click(theirs.getByRole('button', { name: 'Answer' }))
    expect(await screen.findByText('“Every angle is one”')).toBeTruthy()
    expect(bodies('POST', '/api/me/proposals/p7/answer')).toEqual([{ option: 1, version: 2 }])
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Answer' })).toBeNull())
  })
})
