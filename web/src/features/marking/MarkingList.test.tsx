import { screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import MarkingList from './MarkingList'

const line = (n: number, change: Partial<Schemas['MarkingReturnLineView']> = {}) => ({
  studentId: `s${n}`,
  name: `Student ${n}`,
  open: 0,
  ready: 0,
  waiting: 0,
  returned: 0,
  returnedAt: null,
  replied: false,
  ...change,
})
const waiting = (change: Partial<Schemas['MarkingWaitingListView']> = {}) => ({
  waiting: 3,
  questions: [
    {
      handoutId: 'h1',
      handout: 'Tides',
      classes: ['8 Heron'],
      entry: 'e4',
      number: 4,
      question: 'Why two tides?',
      waiting: 3,
      answers: 20,
    },
  ],
  handouts: [
    { handoutId: 'h1', handout: 'Tides', classes: ['8 Heron'], group: null, ready: 2, waiting: 1, returned: 1 },
    { handoutId: 'h2', handout: 'Charts', classes: [], group: 'Footing', ready: 0, waiting: 0, returned: 4 },
  ],
  replies: [],
  ...change,
})
const state = {
  students: [
    line(1, { ready: 1 }),
    line(2, { ready: 2 }),
    line(3, { waiting: 1 }),
    line(4, { returned: 1, returnedAt: '2026-11-20T10:00:00.000Z' }),
    line(5, { returned: 1, returnedAt: '2026-11-20T10:00:00.000Z', replied: true }),
  ],
}
const done = (students: string[]) => ({ students, waiting: [] })

describe('Marking', () => {
  it('says what waits for a marker and what is ready to go back', async () => {
    serve({
      'GET /api/marking': waiting(),
      'GET /api/handouts/h1/marking/e4': {
        item: { type: 'open', prompt: '<p>Say why.</p>' },
        sets: [{ label: 'the moon pulls', answers: [0, 2, 5] }],
      },
    })
    show(<MarkingList />)
    const mark = within(await screen.findByRole('region', { name: 'To mark' }))
    expect(mark.getByText('3 wait')).toBeTruthy()
    expect(mark.getByRole('link', { name: '4 Why two tides?' }).getAttribute('href')).toBe('/marking/h1/e4')
    const aside = within(screen.getByRole('region', { name: 'The chosen question' }))
    expect(await aside.findByText('Say why.')).toBeTruthy()
    expect(aside.getByText('17 of 20')).toBeTruthy()
    expect(aside.getByText('the moon pulls').parentElement?.textContent).toBe('the moon pulls3')
    const back = within(screen.getByRole('region', { name: 'To return' }))
    expect(back.getByText('8 Heron · 2 marked · 1 wait for a marker · 1 returned')).toBeTruthy()
    expect(back.getByText('group “Footing” · 4 returned')).toBeTruthy()
  })

  it('shows what students said to returned work, and leads to that work', async () => {
    const reply = { sittingId: 's9', handoutId: 'h2', handout: 'Charts', student: 'Alba Petrov-Kane', text: 'Why 2?' }
    serve({ 'GET /api/marking': waiting({ replies: [{ ...reply, at: '2026-11-20T10:00:00Z' }] }) })
    show(<MarkingList />)
    const wants = within(await screen.findByRole('region', { name: 'Wants an answer' }))
    expect(wants.getByRole('link', { name: /Alba Petrov-Kane/ }).getAttribute('href')).toBe('/lookout/h2?work=s9')
    expect(wants.getByText('“Why 2?”')).toBeTruthy()
  })

  it('says that nothing waits when nothing does', async () => {
    serve({ 'GET /api/marking': { waiting: 0, questions: [], handouts: [], replies: [] } })
    show(<MarkingList />)
    expect(await screen.findByText('Nothing waits for a marker')).toBeTruthy()
  })
})

describe('Returning', () => {
  const open = async () => {
    const user = show(<MarkingList />)
    await user.click(await screen.findByRole('button', { name: 'Return Tides' }))
    await screen.findByText('Student 1')
    return user
  }

  it('gives back to those who are ticked, with a message, and takes back from them alone', async () => {
    serve({
      'GET /api/marking': waiting(),
      'GET /api/handouts/h1/return': state,
      'POST /api/handouts/h1/return': done(['s1']),
      'POST /api/handouts/h1/take-back': done(['s1']),
    })
    const user = await open()
    const dialog = within(screen.getByRole('dialog'))
    expect(dialog.getByRole('row', { name: /Student 3/ }).textContent).toContain('1 answer waits for a marker')
    expect(dialog.getByRole('row', { name: /Student 2/ }).textContent).toContain('2 attempts marked')
    expect(dialog.queryByRole('checkbox', { name: 'Student 3' })).toBeNull()
    await user.click(dialog.getByRole('checkbox', { name: 'Student 2' }))
    await user.type(dialog.getByLabelText('A message to all of them'), 'Look at 3 again.')
    await user.click(dialog.getByRole('button', { name: 'Return to 1 student' }))
    expect(bodies('POST', '/api/handouts/h1/return')).toEqual([{ students: ['s1'], message: 'Look at 3 again.' }])
    const said = await screen.findByText('Returned to 1 student.')
    await user.click(await within(said.parentElement as HTMLElement).findByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(bodies('POST', '/api/handouts/h1/take-back')).toEqual([{ students: ['s1'] }]))
  })

  it('warns that keys go out while somebody is still at work', async () => {
    serve({
      'GET /api/marking': waiting(),
      'GET /api/handouts/h1/return': { students: [...state.students, line(6, { open: 1 })] },
    })
    await open()
    expect(screen.getByRole('note').textContent).toContain('1 student is still at work')
  })

  it('ticks none and all, and returns nothing to nobody', async () => {
    serve({ 'GET /api/marking': waiting(), 'GET /api/handouts/h1/return': state })
    const user = await open()
    await user.click(screen.getByRole('checkbox', { name: 'All 2 that are marked' }))
    expect((screen.getByRole('button', { name: 'Nothing to return' }) as HTMLButtonElement).disabled).toBe(true)
    await user.click(screen.getByRole('checkbox', { name: 'All 2 that are marked' }))
    expect(screen.getByRole('button', { name: 'Return to 2 students' })).toBeTruthy()
  })

  it('takes work back later too, unless its student has replied', async () => {
    serve({
      'GET /api/marking': waiting(),
      'GET /api/handouts/h1/return': state,
      'POST /api/handouts/h1/take-back': done(['s4']),
    })
    const user = await open()
    expect(screen.getByRole('row', { name: /Student 5/ }).textContent).toContain('has replied')
    expect(screen.queryByRole('button', { name: 'Take back from Student 5' })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Take back from Student 4' }))
    expect(await screen.findByText('Taken back from 1 student.')).toBeTruthy()
    expect(bodies('POST', '/api/handouts/h1/take-back')).toEqual([{ students: ['s4'] }])
  })

  it('keeps the message and says why when it is refused', async () => {
    serve({
      'GET /api/marking': waiting(),
      'GET /api/handouts/h1/return': state,
      'POST /api/handouts/h1/return': new Refusal(503, 'The server is busy.', 'Try again in a moment.'),
    })
    const user = await open()
    await user.type(screen.getByLabelText('A message to all of them'), 'Read on.')
    await user.click(screen.getByRole('button', { name: 'Return to 2 students' }))
    expect((await screen.findByRole('alert')).textContent).toContain('The server is busy.')
    expect((screen.getByLabelText('A message to all of them') as HTMLTextAreaElement).value).toBe('Read on.')
  })
})
