import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { serve } from '@/testing/server'
import ResultsDesk from './ResultsDesk'

const figure = (
  value: number | null,
  change: Partial<Schemas['ResultsFigureView']> = {},
): Schemas['ResultsFigureView'] => ({
  value,
  n: 28,
  low: null,
  high: null,
  formula: 'Mean credit.',
  note: null,
  ...change,
})
const question = (
  number: number,
  change: Partial<Schemas['ResultsQuestionView']> = {},
): Schemas['ResultsQuestionView'] => ({
  entry: `e${number}`,
  number,
  title: `Question ${number}`,
  type: 'choice',
  prompt: '',
  points: '1',
  facility: figure(0.61, { low: 0.42, high: 0.77, formula: 'Mean credit; Wilson’s 95 % interval.' }),
  itemRest: figure(0.31),
  upperLower: figure(null),
  alphaIfDropped: figure(null),
  omitted: 0,
  notReached: 0,
  waiting: 0,
  options: [],
  lines: [],
  flags: [],
  ...change,
})
const option = (letter: string, key: boolean, count: number, upper: number): Schemas['ResultsOptionView'] => ({
  id: letter.toLowerCase(),
  letter,
  text: `Text ${letter}`,
  key,
  count,
  share: count / 28,
  lower: 0.2,
  middle: 0.3,
  upper,
  rest: 0.1,
  works: null,
  misconception: key ? null : 'adds instead of subtracts',
})
const results = (change: Partial<Schemas['ResultsResultsView']> = {}): Schemas['ResultsResultsView'] =>
  ({
    handout: { id: 'h1', title: 'Five-minute check', classes: ['8 Heron'], group: null },
    attemptRule: 'best attempt counts',
    doubles: 1,
    waiting: 0,
    points: '3',
    mean: figure(1.9, { formula: 'Sum of marks divided by students.' }),
    median: figure(2),
    sd: figure(0.8),
    quartiles: figure(null, { low: 1, high: 3 }),
    alpha: figure(0.71, { note: 'few' }),
    sem: figure(0.4),
    bins: [{ from: 0, to: 3, students: 2 }],
    rungs: [
      { name: 'footing', from: 0, students: 1 },
      { name: 'clear', from: 0.75, students: 1 },
    ],
    questions: [
      question(1),
      question(2, {
        options: [option('A', true, 9, 0.3), option('B', false, 17, 0.7)],
        flags: [
          { kind: 'perhaps mis-keyed', evidence: 'In the upper third 7 took option B and 3 the key.', option: 'b' },
        ],
      }),
    ],
    misconceptions: [
      {
        id: 'm1',
        name: 'adds instead of subtracts',
        nextStep: 'Draw the curve.',
        likely: 1,
        students: [
          {
            studentId: 's1',
            name: 'Ada',
            shown: 2,
            offered: 3,
            rate: figure(0.43, { low: 0.12, high: 0.78 }),
            likely: true,
          },
        ],
      },
    ],
    students: [
      {
        studentId: 's1',
        sittingId: 'x',
        name: 'Ada',
        marks: 1,
        of: 3,
        rung: 1,
        attempt: 2,
        others: [0.5],
        state: 'marked',
      },
      {
        studentId: 's2',
        sittingId: 'y',
        name: 'Benoît',
        marks: 3,
        of: 3,
        rung: 2,
        attempt: 1,
        others: [],
        state: 'marked',
      },
    ],
    ...change,
  }) as Schemas['ResultsResultsView']
const open = (at = '/results/h1') => show(<ResultsDesk />, at, '/results/:id')
beforeEach(() => serve({ 'GET /api/handouts/h1/results': results() }))

describe('Results', () => {
  it('open at the question that wants looking at, with its evidence', async () => {
    open()
    expect(await screen.findByText(/Perhaps mis-keyed/)).toBeTruthy()
    expect(screen.getByText('In the upper third 7 took option B and 3 the key.')).toBeTruthy()
    const b = within(screen.getByText('Text B', { exact: false }).closest('tr') as HTMLElement)
    expect(b.getByText('17')).toBeTruthy()
    expect(b.getByText('61 %')).toBeTruthy()
    expect(b.getByText('adds instead of subtracts')).toBeTruthy()
    expect(screen.getByRole('link', { name: 'Change key' }).getAttribute('href')).toBe('/marking/h1/e2?key=1')
  })

  it('say how a figure was computed, with its n and interval', async () => {
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Facility of question 1: how was this computed?' }))
    const told = await screen.findByText('Mean credit; Wilson’s 95 % interval.')
    expect(told.parentElement?.textContent).toContain('n = 28, 0.42 to 0.77')
  })

  it('state the attempt rule and who sat more than once', async () => {
    const user = open()
    expect(await screen.findByText('8 Heron · best attempt counts · 2 students, 1 sat more than once')).toBeTruthy()
    expect(screen.getByText(/reliability α, few, a mark is sure to ±0.8/)).toBeTruthy()
    await user.keyboard('3')
    expect(screen.getByText('attempt 2 counts; others 0.5')).toBeTruthy()
  })

  it('name who shows an idea, how often it was on offer, and the next step', async () => {
    const user = open()
    await screen.findByText('Question 1')
    await user.keyboard('2')
    const idea = await screen.findByRole('button', { name: /adds instead of subtracts/ })
    expect(idea.textContent).toContain('likely with 1, shown by 1 of 2')
    expect(screen.getByText('Next: Draw the curve.')).toBeTruthy()
    expect(screen.getByText('2 of 3')).toBeTruthy()
    await user.click(idea)
    expect(screen.queryByText('2 of 3')).toBeNull()
  })

  it('leaf through questions by keys, and keep the place in the address', async () => {
    const user = open('/results/h1?q=e1')
    expect(await screen.findByRole('heading', { name: '1 · Question 1' })).toBeTruthy()
    await user.keyboard('j')
    expect(await screen.findByRole('heading', { name: '2 · Question 2' })).toBeTruthy()
    expect(screen.getByLabelText('address').textContent).toBe('/results/h1?q=e2')
    await user.keyboard('r')
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/groups/of/h1'))
  })

  it('show no figure where there is none', async () => {
    serve({ 'GET /api/handouts/h1/results': results({ students: [], questions: [] }) })
    open()
    expect(await screen.findByText('Nothing has been handed in yet')).toBeTruthy()
    expect(document.body.textContent).not.toMatch(/NaN|undefined|null/)
  })

  it('offer another try when they cannot be fetched', async () => {
    let down = true
    serve({ 'GET /api/handouts/h1/results': () => (down ? Promise.reject(new TypeError('network')) : results()) })
    const user = open()
    expect((await screen.findByRole('alert')).textContent).toContain('The server cannot be reached.')
    down = false
    await user.click(screen.getByRole('button', { name: 'Try again' }))
    expect(await screen.findByText('Question 1')).toBeTruthy()
  })
})
