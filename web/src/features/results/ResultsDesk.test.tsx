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
  medianTime: figure(null),
  confidence: [],
  sureAndWrong: null,
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
const manner = (pace: number | null, word: string | null, sureAndWrong: Schemas['ResultsFigureView']) => ({
  pace: figure(pace, { n: 7, low: pace && pace / 2, high: pace && pace * 2, formula: 'Time over the median time.' }),
  rushed: pace === null ? figure(null) : figure(word ? 4 / 7 : 0, { n: 7 }),
  sureAndWrong,
  manner: word,
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
    confusions: [
      {
        entry: 'e2',
        number: 2,
        title: 'Question 2',
        key: 'A',
        keyText: 'Text A',
        rival: 'B',
        rivalText: 'Text B',
        keyCount: 9,
        rivalCount: 17,
        upperKey: 3,
        upperRival: 7,
        n: 28,
        rivalry: 0.64,
        p: 0.17,
        misconception: 'adds instead of subtracts',
      },
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
        waiting: 1,
        rung: 1,
        attempt: 2,
        others: [0.5],
        averaged: [],
        state: 'marked',
        ...manner(0.12, 'rushing', figure(2 / 3, { n: 3, note: 'few' })),
      },
      {
        studentId: 's2',
        sittingId: 'y',
        name: 'Benoît',
        marks: 3,
        of: 3,
        waiting: 0,
        rung: 2,
        attempt: 1,
        others: [],
        averaged: [3, 2.5, 3.5],
        state: 'marked',
        ...manner(1.1, null, figure(null, { n: 0 })),
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
    expect(document.body.textContent).toContain('reliability α, few, a mark is sure to ±0.8')
    await user.keyboard('4')
    expect(screen.getByText('attempt 2 counts; others 0.5')).toBeTruthy()
    expect(screen.getByText('mean of 3, 2.5, 3.5')).toBeTruthy()
    expect(screen.getByText(', 1 wait').closest('td')?.textContent).toBe('1 of 3, 1 wait')
  })

  it('say where support or a teacher changed what counts', async () => {
    const students = results().students.map((s, i) => ({ ...s, fewerOptions: i, corrected: 1 - i }))
    serve({ 'GET /api/handouts/h1/results': results({ students }) })
    open('/results/h1?view=students')
    const row = async (name: string) => (await screen.findByRole('rowheader', { name })).closest('tr')?.textContent
    expect(await row('Ada')).toContain('1 answer as corrected by a teacher')
    expect(await row('Ada')).not.toContain('less to pick from')
    expect(await row('Benoît')).toContain('1 wrong option less to pick from')
    expect(await row('Benoît')).not.toContain('corrected')
  })

  it('put nobody on a rung whose work still waits as a whole', async () => {
    const students = results().students.map((s, i) => (i === 0 ? { ...s, rung: 0, waiting: 3 } : s))
    serve({ 'GET /api/handouts/h1/results': results({ students, waiting: 1 }) })
    open('/results/h1?view=students')
    const ada = within((await screen.findByRole('rowheader', { name: 'Ada' })).closest('tr') as HTMLElement)
    expect(ada.getByText('not yet')).toBeTruthy()
    expect(screen.getByText(/without those that wait for a marker; n = 1/)).toBeTruthy()
  })

  it('name who shows an idea, how often it was on offer, and the next step', async () => {
    const user = open()
    await screen.findByText('Question 1')
    await user.keyboard('3')
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

  it('say who rushes and who is wrongly sure, those to look at first', async () => {
    const user = open()
    await screen.findByText('Question 1')
    await user.keyboard('6')
    expect(screen.getByRole('img', { name: /Rushing: Ada. Lagging: nobody./ })).toBeTruthy()
    const rows = screen.getAllByRole('row').slice(1)
    expect(rows.map((r) => r.textContent)).toEqual([
      'Ada0.120.06–0.244 of 72 of 3rushing',
      'Benoît1.100.55–2.200 of 7–',
    ])
    await user.click(screen.getByRole('button', { name: 'Pace of Ada: how was this computed?' }))
    expect((await screen.findByText('Time over the median time.')).parentElement?.textContent).toContain('n = 7')
  })

  it('say of two answers that they are too few, instead of an interval from nothing to millions', async () => {
    const two = {
      ...manner(0.24, null, figure(null)),
      pace: figure(0.24, { n: 2, low: 0.000002, high: 28000000, note: 'few' }),
    }
    serve({ 'GET /api/handouts/h1/results': results({ students: results().students.map((s) => ({ ...s, ...two })) }) })
    const user = open('/results/h1?view=pace')
    expect((await screen.findAllByText('too few')).length).toBe(2)
    await user.click(screen.getByRole('button', { name: 'Pace of Ada: how was this computed?' }))
    expect(await screen.findByText(/n = 2, under 0\.01 to over 100\. Few/)).toBeTruthy()
  })

  it('say that no times are known where none are', async () => {
    const nobody = manner(null, null, figure(null))
    serve({
      'GET /api/handouts/h1/results': results({ students: results().students.map((s) => ({ ...s, ...nobody })) }),
    })
    open('/results/h1?view=pace')
    expect(await screen.findByText(/No times are known here/)).toBeTruthy()
  })

  it('tell a question’s median time, and whether the sure were right', async () => {
    serve({
      'GET /api/handouts/h1/results': results({
        questions: [
          question(1, {
            medianTime: figure(48.4, { formula: 'The middle of the times.' }),
            confidence: [
              { level: 1, credit: figure(0.25, { n: 8 }) },
              { level: 3, credit: figure(0.4, { n: 20 }) },
            ],
            sureAndWrong: figure(0.6, { n: 20 }),
          }),
        ],
      }),
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Median time of question 1: how was this computed?' }))
    expect(await screen.findByText('The middle of the times.')).toBeTruthy()
    const levels = within(screen.getByRole('heading', { name: /right when they were sure/ }).parentElement!)
    expect(
      levels
        .getAllByRole('row')
        .slice(1)
        .map((r) => r.textContent),
    ).toEqual(['guessing 0.25n = 8', 'sure 0.40n = 20'])
    expect(screen.getByText('Sure and wrong:', { exact: false }).textContent).toBe('Sure and wrong: 60 % of 20')
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

  it('rank the rivals of keys, and open the question beside them', async () => {
    const user = open()
    await screen.findByText('Question 1')
    await user.keyboard('2')
    expect(screen.getByRole('heading', { name: '2 · Question 2' })).toBeTruthy()
    expect(screen.getByText('32 % of 28, 3 in the upper third')).toBeTruthy()
    expect(screen.getByText('61 % of 28, 7 in the upper third')).toBeTruthy()
    expect(screen.getByText(/Not to be told from an even split \(exact binomial test, p = 0.17, n = 26\)/)).toBeTruthy()
  })

  it('draw persons and questions on one scale, with the values beside it', async () => {
    const at = (value: number | null) =>
      figure(value, { low: value === null ? null : value - 0.5, high: value === null ? null : value + 0.5 })
    const model = {
      n: 40,
      counted: 38,
      formula: 'Rasch model.',
      note: null,
      leftOut: ['Why two tides? (waits for a marker)'],
      questions: [
        {
          entry: 'e1',
          number: 1,
          title: 'Range',
          difficulty: at(-1.2),
          steps: [],
          infit: 1.02,
          outfit: 1.5,
          slope: at(null),
          note: null,
        },
        {
          entry: 'e2',
          number: 2,
          title: 'Moon',
          difficulty: at(1.2),
          steps: [0.4, 2.0],
          infit: null,
          outfit: null,
          slope: at(null),
          note: null,
        },
      ],
      students: [
        { studentId: 's1', name: 'Ada', ability: at(0.3), pattern: at(-3.4), guttman: at(0.8), unusual: true },
        { studentId: 's2', name: 'Benoît', ability: at(null), pattern: at(null), guttman: at(null), unusual: false },
      ],
    }
    serve({ 'GET /api/handouts/h1/results': results(), 'GET /api/handouts/h1/results/model': model })
    open('/results/h1?view=map')
    const map = await screen.findByRole('img', { name: /Students and questions on one scale/ })
    expect(map.textContent).toContain('2 Moon')
    expect(screen.getByText(/A thin line reaches from the first step/)).toBeTruthy()
    expect(screen.getByRole('row', { name: /Moon/ }).textContent).toContain('steps at 0.40, 2.00')
    expect(screen.getByText(/Left out: Why two tides\? \(waits for a marker\)\./)).toBeTruthy()
    const row = within(screen.getByRole('button', { name: /Difficulty of question 1/ }).closest('tr') as HTMLElement)
    expect(row.getByText('−1.20')).toBeTruthy()
    expect(row.getByText('1.50')).toBeTruthy()
    expect(screen.getByText('Ada')).toBeTruthy()
    expect(screen.queryByText('Benoît')).toBeNull()
  })

  it('say why there is no map', async () => {
    serve({
      'GET /api/handouts/h1/results': results(),
      'GET /api/handouts/h1/results/model': {
        n: 3,
        counted: 2,
        formula: '',
        note: 'A map needs at least 30 students.',
        leftOut: [],
        questions: [],
        students: [],
      },
    })
    open('/results/h1?view=map')
    expect(await screen.findByText(/A map needs at least 30 students/)).toBeTruthy()
  })

  it('compare classes in points, and name questions that differ at equal scores', async () => {
    const one = {
      name: '8 Tern',
      share: figure(0.24, { n: 25 }),
      difference: figure(-0.25),
      effect: figure(-1.01),
      differing: [{ entry: 'e1', number: 1, title: 'Scale', delta: figure(-1.8), class: 'C' }],
    }
    serve({
      'GET /api/handouts/h1/results': results(),
      'GET /api/handouts/h1/results/classes': { classes: [one, { ...one, name: '8 Heron', differing: [] }] },
    })
    open('/results/h1?view=classes')
    const row = within((await screen.findByRole('cell', { name: '8 Tern' })).closest('tr') as HTMLElement)
    expect(row.getByText('−25 points')).toBeTruthy()
    expect(row.getByText('−1.01')).toBeTruthy()
    expect(screen.getByText(/is harder for 8 Tern than for others of the same score/)).toBeTruthy()
  })
})
