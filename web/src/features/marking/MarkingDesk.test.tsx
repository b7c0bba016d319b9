import { act, cleanup, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { pickFrom, show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import MarkingDesk from './MarkingDesk'

type Answer = Schemas['MarkingMarkedAnswerView']
const answer = (n: number, change: Partial<Answer> = {}): Answer => ({
  sittingId: `s${n}`,
  try: 1,
  student: `Student ${n}`,
  ownNumber: null,
  given: `Answer ${n}`,
  response: { text: `Answer ${n}` },
  readAs: '',
  verdict: 'by hand',
  credit: null,
  byHand: false,
  levels: null,
  comment: '',
  markVersion: 0,
  returned: false,
  history: [],
  hintsOpened: 0,
  hintsCost: '0',
  working: null,
  ...change,
})
const rubric = {
  type: 'open',
  title: 'Why two tides?',
  prompt: '<p>Why are there two tides a day?</p>',
  points: '4',
  rule: {
    criteria: [
      {
        name: 'Cause',
        levels: [
          { points: '0', descriptor: 'none' },
          { points: '2', descriptor: 'the moon' },
        ],
      },
      {
        name: 'Effect',
        levels: [
          { points: '0', descriptor: 'none' },
          { points: '2', descriptor: 'two bulges' },
        ],
      },
    ],
  },
} as unknown as Schemas['Item']
const written = { ...rubric, type: 'text', rule: { forms: [] } } as unknown as Schemas['Item']
const desk = (change: Partial<Schemas['MarkingDeskView']> = {}): Schemas['MarkingDeskView'] => ({
  handoutId: 'h1',
  beside: [
    {
      entry: 'log',
      title: 'The log',
      html: '<p>We lay off.</p>',
      picture: null,
      alt: '',
      file: null,
      stops: false,
      glossary: [],
      inOrder: false,
      link: null,
      pieces: [],
    },
  ],
  looksAt: null,
  handout: 'Tides',
  entry: 'e4',
  number: 4,
  title: 'Why two tides?',
  item: rubric,
  answers: [answer(0), answer(1), answer(2)],
  sets: [
    { label: 'Answer 0', answers: [0, 2] },
    { label: 'Answer 1', answers: [1] },
  ],
  second: false,
  shelf: ['Name the sun too.'],
  questions: [{ entry: 'e4', number: 4, title: 'Why two tides?', waiting: 3 }],
  namesHidden: false,
  markStep: 0.5,
  keyChanges: [],
  ...change,
})
const open = (view = desk(), mayChangeKey = true) =>
  show(<MarkingDesk desk={view} startWithKey={false} onKeyShut={() => undefined} mayChangeKey={mayChangeKey} />)
const marked = (levels: number[], markVersion = 1) => ({
  credit: '1',
  verdict: 'right',
  byHand: true,
  levels,
  comment: '',
  markVersion,
  event: { kind: 'hand', before: null, after: '1', comment: '', by: 'Maren', at: '2026-11-25T10:00:00.000Z' },
})
const atHand = () => within(screen.getByRole('article', { name: 'The answer at hand' }))

describe('Marking by keys alone', () => {
  it('gives levels, keeps, and goes to the next answer that waits, set by set', async () => {
    serve({ 'PUT /api/marks': marked([1, 1]) })
    const user = open()
    expect(atHand().getByText('Answer 0')).toBeTruthy()
    expect(atHand().getByText(/answer 1 of 2 in this set/)).toBeTruthy()
    await user.keyboard('11')
    expect(screen.getByText('4', { selector: 'span' })).toBeTruthy()
    await user.keyboard('{Enter}')
    expect(atHand().getByText('Answer 2')).toBeTruthy()
    expect(bodies('PUT', '/api/marks')).toEqual([
      { sittingId: 's0', entry: 'e4', try: 1, levels: [1, 1], credit: null, comment: '', markVersion: 0 },
    ])
    await waitFor(() => expect(screen.getByText('1 of 3 marked')).toBeTruthy())
    await user.keyboard('10{Enter}')
    expect(atHand().getByText('Answer 1')).toBeTruthy()
    expect(bodies('PUT', '/api/marks')[1]).toMatchObject({ sittingId: 's2', levels: [1, 0] })
  })

  it('does not keep a mark while a criterion has no level', async () => {
    serve({})
    const user = open()
    await user.keyboard('1{Enter}')
    expect(screen.getByText(/Pick a level for "Effect" first/)).toBeTruthy()
    expect(bodies('PUT', '/api/marks')).toEqual([])
  })

  it('writes a comment, takes one off the shelf, and leaves letters to the field', async () => {
    serve({ 'PUT /api/marks': marked([0, 0]) })
    const user = open()
    await user.keyboard('00c')
    const box = screen.getByLabelText('Comment')
    expect(document.activeElement).toBe(box)
    await user.keyboard('a moon')
    await user.keyboard('{Escape}a')
    expect((box as HTMLTextAreaElement).value).toBe('a moon Name the sun too.')
    await user.keyboard('{Enter}')
    expect(bodies('PUT', '/api/marks')[0]).toMatchObject({ comment: 'a moon Name the sun too.' })
  })

  it('takes the last mark back', async () => {
    serve({
      'PUT /api/marks': ({ body }: { body: unknown }) => {
        const { levels, markVersion } = body as { levels: number[] | null; markVersion: number }
        return levels
          ? marked(levels, markVersion + 1)
          : {
              ...marked([]),
              credit: null,
              verdict: 'by hand',
              byHand: false,
              levels: null,
              markVersion: markVersion + 1,
            }
      },
    })
    const user = open()
    await user.keyboard('11{Enter}')
    await waitFor(() => expect(screen.getByText('1 of 3 marked')).toBeTruthy())
    await user.keyboard('z')
    await waitFor(() => expect(screen.getByText('0 of 3 marked')).toBeTruthy())
    expect(bodies('PUT', '/api/marks')[1]).toMatchObject({
      sittingId: 's0',
      levels: null,
      credit: null,
      markVersion: 1,
    })
    expect(atHand().getByText('Answer 0')).toBeTruthy()
  })

  it('tells when somebody else has marked it, and changes nothing', async () => {
    serve({ 'PUT /api/marks': new Refusal(409, 'Somebody marked this answer before you.', 'Their mark is shown now.') })
    const user = open()
    await user.keyboard('11{Enter}')
    expect(await screen.findByText(/Student 0: Somebody marked this answer before you/)).toBeTruthy()
    expect(screen.getByText('0 of 3 marked')).toBeTruthy()
    await user.keyboard('z')
    expect(bodies('PUT', '/api/marks'), 'a mark that was refused is not taken back').toHaveLength(1)
  })

  it('keeps what was typed for an answer until it is kept, over leaving, a refusal and a reload', async () => {
    serve({ 'PUT /api/marks': new Refusal(500, 'The server did not answer.') })
    const user = open()
    await user.keyboard('10c')
    await user.keyboard('Say why.')
    await user.keyboard('{Control>}{Enter}{/Control}')
    expect(await screen.findByText(/Student 0: not sent yet\. It is sent again by itself\./)).toBeTruthy()
    expect(screen.getByText(/1 mark not sent yet/)).toBeTruthy()
    expect(screen.getByText(/1 not kept/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: /^Answer 1.*alone/ }))
    expect((screen.getByLabelText('Comment') as HTMLTextAreaElement).value).toBe('')

    cleanup()
    serve({ 'PUT /api/marks': marked([1, 0]) })
    open()
    await waitFor(() =>
      expect(bodies('PUT', '/api/marks')).toMatchObject([{ sittingId: 's0', levels: [1, 0], comment: 'Say why.' }]),
    )
    await waitFor(() => expect(screen.queryByText(/not kept|not sent/)).toBeNull())
    expect(await screen.findByText(/1 of 3 marked/)).toBeTruthy()
  })

  it('sends a mark again by itself once the server can be reached', async () => {
    let down = true
    serve({ 'PUT /api/marks': () => (down ? Promise.reject(new TypeError('network')) : marked([1, 0])) })
    const user = open()
    await user.keyboard('10{Enter}')
    expect(await screen.findByText(/1 mark not sent yet/)).toBeTruthy()
    down = false
    await waitFor(() => expect(screen.queryByText(/not sent yet$/)).toBeNull())
    expect(await screen.findByText(/1 of 3 marked/)).toBeTruthy()
  })

  it('shows who gave a mark and what it was before', async () => {
    serve({ 'PUT /api/marks': marked([1, 1]) })
    const user = open(
      desk({
        answers: [
          answer(0, {
            history: [
              { kind: 'hand', before: '1', after: null, comment: '', by: 'Idris', at: '2026-11-25T09:00:00.000Z' },
              {
                kind: 'hand',
                before: null,
                after: '1',
                comment: 'Good start',
                by: 'Bram',
                at: '2026-11-25T08:00:00.000Z',
              },
            ],
          }),
        ],
        sets: [{ label: 'Answer 0', answers: [0] }],
      }),
    )
    const history = screen.getByRole('button', { name: /^History of this mark/ })
    await user.click(history)
    const lines = () =>
      within(document.getElementById(history.getAttribute('aria-controls') ?? '') as HTMLElement)
        .getAllByRole('listitem')
        .map((l) => l.textContent)
    expect(lines()[0]).toMatch(/^mark taken back4 → –.*by Idris$/)
    expect(lines()[1]).toMatch(/^marked– → 4.*by Bram · “Good start”$/)
    act(() => history.blur())
    await user.keyboard('11{Enter}')
    await waitFor(() => expect(lines()).toHaveLength(3))
    expect(lines()[0]).toMatch(/by Maren$/)
  })
})

describe('The history of a key', () => {
  const change = (id: string, more: Partial<Schemas['MarkingKeyChangeLineView']> = {}) => ({
    id,
    by: 'Maren',
    at: '2026-11-20T10:00:00.000Z',
    before: '<p>reef</p>',
    after: '<p>bar</p>',
    accepted: '',
    reason: '',
    gains: 5,
    loses: 2,
    undoneAt: null,
    undoneBy: null,
    undoable: false,
    ...more,
  })
  const changed = (...keyChanges: Schemas['MarkingKeyChangeLineView'][]) =>
    desk({
      item: written,
      answers: [answer(0, { verdict: 'wrong', credit: '0' })],
      sets: [{ label: 'reef', answers: [0] }],
      keyChanges,
    })

  it('tells what it was, who changed it, and takes the latest change back', async () => {
    serve({
      'POST /api/key-changes/c2/undo': {
        changeId: 'c2',
        rule: {},
        gains: [{}, {}],
        loses: [{}],
        same: 0,
        byHand: 0,
        returned: 0,
        bankToo: false,
      },
    })
    const user = open(
      changed(
        change('c2', { undoable: true }),
        change('c1', { undoneAt: '2026-11-21T10:00:00.000Z', undoneBy: 'Suvi' }),
      ),
    )
    const lines = within(await screen.findByRole('region', { name: 'The key has changed' })).getAllByRole('listitem')
    expect(lines[0]?.textContent).toMatch(/reef.*bar.*by Maren · 5 gained, 2 lost/)
    expect(lines[1]?.textContent).toMatch(/taken back .* by Suvi/)
    await user.click(screen.getByRole('button', { name: 'Take this change back' }))
    expect(await screen.findByText('The old key holds again, and the old marks: 2 gain, 1 lose.')).toBeTruthy()
  })

  it('is read by those who may not change it', async () => {
    serve({})
    open(changed(change('c1', { undoable: true })), false)
    expect(await screen.findByText('The key has changed')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Take this change back' })).toBeNull()
  })
})

describe('Correcting the machine', () => {
  const machine = () =>
    desk({
      item: written,
      answers: [answer(0, { verdict: 'wrong', credit: '0', readAs: 'reef' })],
      sets: [{ label: 'reef', answers: [0] }],
    })

  it('gives one student credit and goes back to the machine', async () => {
    serve({
      'PUT /api/marks': ({ body }: { body: unknown }) => ({
        ...marked([]),
        levels: null,
        credit: (body as { credit: string | null }).credit ?? '0',
        byHand: (body as { credit: unknown }).credit !== null,
      }),
    })
    const user = open(machine())
    await user.keyboard('2')
    expect(await screen.findByText(/set by hand/)).toBeTruthy()
    await user.keyboard('m')
    await waitFor(() => expect(screen.queryByText(/set by hand/)).toBeNull())
    expect(bodies('PUT', '/api/marks').map((b) => (b as { credit: unknown }).credit)).toEqual(['1/2', null])
  })

  it('accepts an answer for all after showing who gains, and can be undone', async () => {
    const effect = {
      changeId: 'c1',
      rule: {},
      gains: [{ student: 'Ada', given: 'reef', before: '0', after: '1' }],
      loses: [],
      same: 4,
      byHand: 1,
      returned: 0,
      bankToo: true,
    }
    serve({
      'POST /api/handouts/h1/keys/e4/preview': { ...effect, changeId: null },
      'POST /api/handouts/h1/keys/e4': effect,
      'POST /api/key-changes/c1/undo': effect,
    })
    const user = open(machine())
    await user.keyboard('o')
    const dialog = within(await screen.findByRole('dialog'))
    await pickFrom(user, dialog.getByLabelText('Credit'), 'credit 1/2')
    await user.click(dialog.getByRole('button', { name: 'See who gains and who loses' }))
    expect(await dialog.findByText('Gain: 1 answer')).toBeTruthy()
    expect(dialog.getByText('Lose: nobody')).toBeTruthy()
    expect(dialog.getByText(/1 marked by hand are left alone/)).toBeTruthy()
    expect(bodies('POST', '/api/handouts/h1/keys/e4')).toEqual([])
    await user.type(dialog.getByLabelText(/^Why, for the team/), ' The map says so. ')
    await user.click(dialog.getByRole('button', { name: 'Re-mark 1 answer' }))
    expect(bodies('POST', '/api/handouts/h1/keys/e4')).toEqual([
      { accept: { text: 'Answer 0' }, credit: '1/2', feedback: '', reason: 'The map says so.' },
    ])
    const line = await screen.findByText('Re-marked: 1 gain, 0 lose. The bank has the new key too.')
    await user.click(within(line.parentElement as HTMLElement).getByRole('button', { name: 'Undo' }))
    expect(await screen.findByText(/The old key holds again/)).toBeTruthy()
  })

  it('offers no key to those who may not change it', () => {
    serve({})
    open(machine(), false)
    expect(screen.queryByRole('button', { name: /Accept for all/ })).toBeNull()
    expect(screen.queryByRole('button', { name: 'Change the key' })).toBeNull()
    expect(screen.queryByRole('button', { name: 'Return' })).toBeNull()
  })
})

describe('Marking a second time', () => {
  const second = (change: Partial<Schemas['MarkingDeskView']> = {}) => desk({ second: true, shelf: [], ...change })

  it('keeps levels as a second mark, which changes no mark and takes no comment', async () => {
    serve({ 'PUT /api/second-marks': null })
    const user = open(second())
    expect(screen.getByText(/second marking, first marks hidden/)).toBeTruthy()
    expect(screen.queryByLabelText('Comment')).toBeNull()
    expect(screen.queryByRole('button', { name: 'Return' })).toBeNull()
    await user.keyboard('10{Enter}')
    expect(atHand().getByText('Answer 2')).toBeTruthy()
    expect(bodies('PUT', '/api/second-marks')).toEqual([{ sittingId: 's0', entry: 'e4', try: 1, levels: [1, 0] }])
    expect(bodies('PUT', '/api/marks')).toEqual([])
    expect(await screen.findByText('1 of 3 marked')).toBeTruthy()
  })

  it('goes back to the last one to change it, since there is no taking it back to none', async () => {
    serve({ 'PUT /api/second-marks': null })
    const user = open(second())
    await user.keyboard('10{Enter}')
    await screen.findByText('1 of 3 marked')
    await user.keyboard('z')
    expect(atHand().getByText('Answer 0')).toBeTruthy()
    expect(bodies('PUT', '/api/second-marks')).toHaveLength(1)
    await user.keyboard('01{Enter}')
    expect(bodies('PUT', '/api/second-marks')[1]).toMatchObject({ sittingId: 's0', levels: [0, 1] })
  })

  it('leads to how far the two agree once all are marked', async () => {
    const answers = [answer(0), answer(1)].map((a) => ({ ...a, byHand: true, levels: [1, 1] }))
    open(second({ answers, sets: [{ label: 'Both', answers: [0, 1] }] }))
    expect(screen.getByText(/All 2 answers to this question are marked a second time/)).toBeTruthy()
    expect(screen.getByRole('link', { name: 'How far do you agree?' }).getAttribute('href')).toBe(
      '/results/h1?view=markers',
    )
  })

  it('says so where nobody else has marked yet, and is no act for a machine’s question', () => {
    open(second({ answers: [], sets: [] }))
    expect(screen.getByText(/Nobody else has marked an answer to this question yet/)).toBeTruthy()
    open(desk({ item: written, answers: [], sets: [] }))
    expect(screen.queryByRole('button', { name: 'Mark a second time' })).toBeNull()
  })
})
