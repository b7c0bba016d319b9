import { screen, within } from '@testing-library/react'
import { useState } from 'react'
import { beforeAll, describe, expect, it } from 'vitest'
import { loadInputs } from '@/answers/registry'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import { sitting, step as answered } from '@/testing/sitting'
import { Returned } from './Returned'
import type { Step } from './store'

const told = (change: Partial<NonNullable<Step['told']>> = {}): NonNullable<Step['told']> => ({
  verdict: 'wrong',
  feedback: '',
  key: '',
  explanation: '',
  marks: '0',
  comment: '',
  levels: [],
  picture: null,
  ...change,
})
const step = (number: number, change: Partial<Step> = {}) =>
  answered(number, {
    points: '2',
    face: {
      type: 'text',
      prompt: `<p>Question ${number}?</p>`,
      hints: [],
      goBack: null,
      asksConfidence: false,
      asksWorking: false,
    },
    value: { text: `answer ${number}` },
    open: false,
    ...change,
  })
const view = (change: Partial<Schemas['SittingSittingView']> = {}) =>
  sitting({ state: 'returned', ended: true, of: '4', steps: [step(1)], handedInAt: '2026-11-20T10:00:00Z', ...change })
function Work({ first }: { first: Schemas['SittingSittingView'] }) {
  const [now, setNow] = useState(first)
  return <Returned view={now} onReplied={setNow} />
}
const open = (first = view()) => show(<Work first={first} />)

beforeAll(() => loadInputs(['text']))

describe('Work that was handed in', () => {
  it('shows nothing but the student’s own answers before it is returned', () => {
    open(view({ state: 'handed in', coming: 'The key comes when everybody is done.' }))
    expect(screen.getByRole('heading', { name: 'Handed in' })).toBeTruthy()
    expect(screen.getByText('answer 1')).toBeTruthy()
    expect(screen.getByText(/The key comes when everybody is done\./)).toBeTruthy()
    expect(screen.queryByText(/marks/)).toBeNull()
    expect(screen.queryByLabelText('Reply to your teacher, once')).toBeNull()
  })

  it('tells what the plan lets it tell: marks without a verdict, and how the class did', async () => {
    const some = { verdict: null, key: null, explanation: null, marks: '1', picture: { n: 26, right: 17, part: 4 } }
    open(view({ state: 'handed in', steps: [step(1, { told: told(some) })] }))
    expect(await screen.findByText('Of 26 who answered, 17 had this right and 4 in part.')).toBeTruthy()
    expect(screen.getByText(/^1 of 2 marks$/)).toBeTruthy()
    expect(screen.queryByText('Not right')).toBeNull()
  })

  it('comes back with marks, feedback, key, comment and message', () => {
    open(
      view({
        marks: '2.5',
        message: 'Look at 1 again.',
        steps: [
          step(1, { told: told({ feedback: 'That is the range.', key: '<p>3.9 m</p>', comment: 'Nearly.' }) }),
          step(2, { told: told({ verdict: 'right', marks: '2', key: '<p>ebb</p>' }), try: 2 }),
          step(3, { told: told({ verdict: 'part', marks: '0.5', levels: ['Cause: the moon'] }), value: null }),
        ],
      }),
    )
    expect(screen.getByText('of 4 marks').parentElement?.textContent).toBe('2.5 of 4 marks')
    expect(screen.getByText('Look at 1 again.')).toBeTruthy()
    const [wrong, right, part] = screen.getAllByRole('listitem')
    expect(wrong?.textContent).toMatch(/Not right, 0 of 2 marks.*That is the range\..*Comment Nearly\..*Key 3\.9 m/)
    expect(right?.textContent).toMatch(/Your answer, try 2.*Right, 2 of 2 marks/)
    expect(within(right as HTMLElement).queryByText('Key'), 'who was right needs no key').toBeNull()
    expect(part?.textContent).toMatch(/none.*Partly right, 0\.5 of 2 marks.*Cause: the moon/)
  })

  it('is replied to once, and the reply stays when it could not be sent', async () => {
    let down = true
    serve({
      'POST /api/me/sittings/s1/reply': ({ body }: { body: unknown }) =>
        down ? new Refusal(503, 'The server is busy.') : view({ reply: (body as { text: string }).text }),
    })
    const user = open()
    const send = screen.getByRole('button', { name: 'Send the reply' })
    expect((send as HTMLButtonElement).disabled).toBe(true)
    await user.type(screen.getByLabelText('Reply to your teacher, once'), 'I see it now.')
    await user.click(send)
    expect((await screen.findByRole('alert')).textContent).toContain('The server is busy.')
    down = false
    await user.click(send)
    expect(await screen.findByText('Your reply')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Send the reply' })).toBeNull()
    expect(bodies('POST', '/api/me/sittings/s1/reply')).toEqual([{ text: 'I see it now.' }, { text: 'I see it now.' }])
  })
})
