import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { blankItem } from '@/answers/registry'
import { PLAIN_CONDITIONS, RIGHT_AT_ONCE } from '@/lib/conditions'
import { offered, pickFrom, show } from '@/testing/page'
import { bodies, Refusal, serve, serveAlso } from '@/testing/server'
import HandOut from './HandOut'

const paper = (title: string, editionId: string | null) => ({
  id: title,
  title,
  sections: 1,
  questions: 3,
  editionId,
  edition: editionId ? 2 : null,
  ahead: false,
  handouts: 0,
  updatedBy: 'Maren',
  updatedAt: '',
})
const tides = {
  id: 'Tides',
  paper: {
    title: 'Tides',
    sections: [
      {
        id: 's1',
        title: 'One',
        route: null,
        entries: ['q1', 'q2', 'q3'].map((item) => ({ id: item, kind: 'question', item, points: '1' })),
      },
    ],
  },
  items: Object.fromEntries(
    ['High water', 'Low water', 'Range'].map((title, i) => [
      `q${i + 1}`,
      {
        ...blankItem('text'),
        title,
        rule: {
          ...blankItem('text').rule,
          forms: [{ text: '0.6 m', credit: '1', feedback: '', misconception: null }],
        },
      },
    ]),
  ),
}
const made = { id: 'h1', expected: 55 }
const base = {
  'GET /api/papers': { papers: [paper('Tides', 'ed1'), paper('Draft', null)] },
  'GET /api/classes': {
    classes: [
      { id: 'c1', name: '8 Kestrel', code: 'A', students: 28 },
      { id: 'c2', name: '8 Tern', code: 'B', students: 27 },
    ],
  },
  'GET /api/classes/c2': {
    id: 'c2',
    name: '8 Tern',
    code: 'B',
    students: [{ id: 's1', name: 'Alba', joinedAt: '' }],
    groups: [{ id: 'g1', name: 'Chart table', students: ['s1'] }],
  },
  'POST /api/handouts': made,
  'GET /api/feedback-plans': { plans: [] },
  'POST /api/feedback-plans/read': { concerns: [], handedIn: 'All comes later.', closed: '' },
}
const open = (at = '/handouts/new') => show(<HandOut />, at, '/handouts/new')
const go = () => screen.getByRole('button', { name: /^Hand out/ }) as HTMLButtonElement
beforeEach(() => serve(base))

describe('Handing out', () => {
  it('offers published papers alone, and names what will happen', async () => {
    const user = open()
    const papers = await screen.findByLabelText('Paper')
    expect(await offered(user, papers)).toEqual(['Choose a published paper', 'Tides, edition 2'])
    expect(go().disabled).toBe(true)
    await pickFrom(user, papers, 'Tides, edition 2')
    await user.click(screen.getByLabelText('8 Kestrel, 28 students'))
    await user.click(screen.getByLabelText('8 Tern, 27 students'))
    expect(go().textContent).toBe('Hand out to 2 classes')
    expect(screen.getByText(/· to 55 students$/)).toBeTruthy()
  })

  it('leaves some of a class out', async () => {
    const user = open('/handouts/new?edition=ed1')
    await user.click(await screen.findByLabelText('8 Tern, 27 students'))
    await user.click(screen.getByRole('button', { name: 'all but some of 8 Tern' }))
    await user.click(await screen.findByRole('checkbox', { name: 'Alba' }))
    expect(screen.getByText('without Alba')).toBeTruthy()
    expect(screen.getByText(/· to 26 students$/)).toBeTruthy()
    await user.click(go())
    await waitFor(() =>
      expect(bodies('POST', '/api/handouts')).toMatchObject([{ classes: ['c2'], students: [], without: ['s1'] }]),
    )
  })

  it('hands out the same again, with its conditions and the latest edition', async () => {
    serve({
      ...base,
      'GET /api/handouts': {
        handouts: [
          {
            id: 'h7',
            paperId: 'Tides',
            visible: true,
            opensAt: null,
            closesAt: null,
            conditions: {
              attempts: 3,
              counts: 'latest',
              shuffleQuestions: true,
              shuffleOptions: false,
              feedback: RIGHT_AT_ONCE,
              minutes: 40,
              secondsEach: null,
              tools: ['calculator'],
            },
          },
        ],
      },
    })
    const user = open('/handouts/new?like=h7')
    expect(((await screen.findByLabelText('Attempts')) as HTMLInputElement).value).toBe('3')
    expect((screen.getByLabelText('Minutes') as HTMLInputElement).value).toBe('40')
    await user.click(screen.getByLabelText('8 Kestrel, 28 students'))
    await user.click(go())
    await waitFor(() =>
      expect(bodies('POST', '/api/handouts')).toMatchObject([
        {
          editionId: 'ed1',
          classes: ['c1'],
          conditions: { attempts: 3, minutes: 40, feedback: RIGHT_AT_ONCE, tools: ['calculator'] },
        },
      ]),
    )
  })

  it('sends every condition, and goes to the Lookout', async () => {
    const user = open('/handouts/new?edition=ed1')
    await user.click(await screen.findByLabelText('8 Kestrel, 28 students'))
    const attempts = screen.getByLabelText('Attempts')
    expect((screen.getByLabelText('Which counts') as HTMLButtonElement).disabled).toBe(true)
    await user.tripleClick(attempts)
    await user.keyboard('3')
    await pickFrom(user, screen.getByLabelText('Which counts'), 'the latest')
    await user.click(screen.getByLabelText('Questions in a different order for each student'))
    await user.click(screen.getByLabelText(/^Working is wanted/))
    await user.click(screen.getByLabelText(/^In full screen/))
    await user.click(screen.getByLabelText('A calculator beside the questions'))
    await user.click(screen.getByLabelText(/^So many seconds for each question/))
    await user.tripleClick(screen.getByLabelText('Seconds'))
    await user.keyboard('45')
    await pickFrom(user, screen.getByLabelText('Plan'), 'Right or wrong at once')
    await user.click(go())
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/lookout/h1'))
    expect(bodies('POST', '/api/handouts')).toMatchObject([
      {
        editionId: 'ed1',
        classes: ['c1'],
        students: [],
        visible: true,
        opensAt: null,
        closesAt: null,
        conditions: {
          attempts: 3,
          counts: 'latest',
          shuffleQuestions: true,
          shuffleOptions: true,
          feedback: RIGHT_AT_ONCE,
          needsWorking: true,
          fullScreen: true,
          inOrder: true,
          secondsEach: 45,
          tools: ['calculator'],
        },
      },
    ])
    expect(screen.getByText('Handed out to 55 students.')).toBeTruthy()
  })

  it('says what a plan gives away, as it is used', async () => {
    serveAlso({
      'POST /api/feedback-plans/read': ({ body }: { body: unknown }) => ({
        concerns: (body as { attempts: number }).attempts > 1 ? ['The next begins with what was told.'] : [],
        handedIn: '',
        closed: '',
      }),
    })
    const user = open('/handouts/new?edition=ed1')
    const attempts = await screen.findByLabelText('Attempts')
    expect(screen.queryByRole('note', { name: 'About this plan' })).toBeNull()
    await user.tripleClick(attempts)
    await user.keyboard('2')
    expect(await screen.findByText('The next begins with what was told.')).toBeTruthy()
    await pickFrom(user, screen.getByLabelText('Plan'), 'Nothing')
    await waitFor(() =>
      expect(bodies('POST', '/api/feedback-plans/read').at(-1)).toMatchObject({
        editionId: 'ed1',
        attempts: 2,
        closes: false,
        tells: { verdict: 'never' },
      }),
    )
  })

  it('tells each thing from a moment of its own, by the keyboard too', async () => {
    const user = open('/handouts/new?edition=ed1')
    const from = (name: string) => screen.getByRole('slider', { name: `${name}, told from` })
    await screen.findByLabelText('Plan')
    expect(from('marks').getAttribute('aria-valuetext')).toBe('returned')
    from('marks').focus()
    await user.keyboard('{ArrowLeft}')
    expect(from('marks').getAttribute('aria-valuetext')).toBe('closed')
    expect(from('the key').getAttribute('aria-valuetext')).toBe('returned')
    from('the class’s picture').focus()
    await user.keyboard('{Home}')
    expect(from('the class’s picture').getAttribute('aria-valuetext')).toBe('closed')
    from('right or wrong').focus()
    await user.keyboard('{End}')
    expect(from('right or wrong').getAttribute('aria-valuetext')).toBe('not told')
    expect(screen.getByLabelText('Plan').textContent).toBe('An arrangement of its own')
    expect(screen.getByText(/^Closed: marks, the class’s picture. Returned: feedback, the key/)).toBeTruthy()
    await user.click(screen.getByLabelText('8 Kestrel, 28 students'))
    await user.click(go())
    await waitFor(() =>
      expect(bodies('POST', '/api/handouts')).toMatchObject([
        { conditions: { feedback: { verdict: 'never', marks: 'closed', key: 'returned', classPicture: 'closed' } } },
      ]),
    )
  })

  it('keeps an arrangement as a plan of the team, and drops it with a way back', async () => {
    const own = { ...PLAIN_CONDITIONS.feedback, marks: 'closed' as const }
    const friday = { id: 'p1', name: 'Marks on Friday', tells: own }
    let calls = 0
    serveAlso({
      'POST /api/feedback-plans': () =>
        ++calls === 1 ? new Refusal(422, 'No.', '', { name: 'The team has it already.' }) : { plans: [friday] },
      'DELETE /api/feedback-plans/p1': { plans: [] },
    })
    const user = open('/handouts/new?edition=ed1')
    await screen.findByLabelText('Plan')
    expect(screen.queryByRole('button', { name: 'Keep as a plan of the team' })).toBeNull()
    screen.getByRole('slider', { name: 'marks, told from' }).focus()
    await user.keyboard('{ArrowLeft}')
    await user.click(screen.getByRole('button', { name: 'Keep as a plan of the team' }))
    await user.type(screen.getByLabelText('Name of the plan'), 'Marks on Friday{Enter}')
    expect(await screen.findByText('✕ The team has it already.')).toBeTruthy()
    await user.type(screen.getByLabelText('Name of the plan'), '{Enter}')
    await waitFor(() => expect(screen.getByLabelText('Plan').textContent).toBe('Marks on Friday'))
    expect(bodies('POST', '/api/handouts')).toEqual([])
    await user.click(screen.getByRole('button', { name: 'Drop this plan' }))
    await waitFor(() => expect(screen.getByLabelText('Plan').textContent).toBe('An arrangement of its own'))
    await user.click(screen.getByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(screen.getByLabelText('Plan').textContent).toBe('Marks on Friday'))
    expect(bodies('POST', '/api/feedback-plans')[2]).toEqual({ name: 'Marks on Friday', tells: own })
  })

  it('hands to a group of a class, and to a class without one', async () => {
    const user = open('/handouts/new?edition=ed1')
    await user.click(await screen.findByRole('button', { name: 'groups and single students of 8 Tern' }))
    await user.click(await screen.findByRole('checkbox', { name: 'Chart table, 1 student' }))
    expect(screen.getByRole('button', { name: 'Hand out to 1 student' })).toBeTruthy()
    await user.click(screen.getByRole('checkbox', { name: 'Chart table, 1 student' }))
    await user.click(screen.getByLabelText('8 Tern, 27 students'))
    await user.click(screen.getByRole('button', { name: 'all but some of 8 Tern' }))
    await user.click(await screen.findByRole('checkbox', { name: 'Chart table, 1 student' }))
    expect(screen.getByText(/· to 26 students$/)).toBeTruthy()
  })

  it('hands to single students of another class too', async () => {
    const user = open('/handouts/new?edition=ed1')
    await user.click(await screen.findByRole('button', { name: 'groups and single students of 8 Tern' }))
    await user.click(await screen.findByLabelText('Alba'))
    expect(go().textContent).toBe('Hand out to 1 student')
    await user.click(go())
    await waitFor(() => expect(bodies('POST', '/api/handouts')).toMatchObject([{ classes: [], students: ['s1'] }]))
  })

  it('names a fault at its field, keeps the rest, and sends the same request again', async () => {
    let calls = 0
    serve({
      ...base,
      'POST /api/handouts': () =>
        ++calls === 1 ? new Refusal(422, 'No.', '', { closesAt: 'It must close after it opens.' }) : made,
    })
    const user = open('/handouts/new?edition=ed1')
    await user.click(await screen.findByLabelText('8 Kestrel, 28 students'))
    await user.click(go())
    expect(await screen.findByText('✕ It must close after it opens.')).toBeTruthy()
    expect(screen.getByRole('checkbox', { name: '8 Kestrel, 28 students', checked: true })).toBeTruthy()
    await user.click(go())
    await waitFor(() => expect(calls).toBe(2))
    const [first, second] = bodies('POST', '/api/handouts') as { requestId: string }[]
    expect(first?.requestId).toBe(second?.requestId)
  })

  it('takes times as people say them, and is not sent while one cannot be read', async () => {
    const user = open('/handouts/new?edition=ed1')
    await user.click(await screen.findByLabelText('8 Kestrel, 28 students'))
    await user.type(screen.getByLabelText('Closes'), '3 Dec 2099')
    expect(screen.getByText(/This is not a day and a time/)).toBeTruthy()
    await user.click(go())
    expect(bodies('POST', '/api/handouts')).toEqual([])
    expect((screen.getByLabelText('Closes') as HTMLInputElement).value).toBe('3 Dec 2099')
    await user.type(screen.getByLabelText('Closes'), ' 15:30')
    expect(screen.getByText('Thu, 3 Dec 2099, 15:30')).toBeTruthy()
    await user.click(go())
    await waitFor(() =>
      expect(bodies('POST', '/api/handouts')).toMatchObject([
        { closesAt: new Date(2099, 11, 3, 15, 30).toISOString() },
      ]),
    )
  })

  it('shows what one student will see, by moment and plan', async () => {
    serve({ ...base, 'GET /api/papers/Tides': tides })
    const user = open('/handouts/new?edition=ed1')
    const sees = within(await screen.findByRole('region', { name: 'What one of them sees' }))
    expect(await sees.findByText(/Low water/)).toBeTruthy()
    expect(await sees.findByText('All comes later.')).toBeTruthy()
    expect(sees.queryByText('0.6 m')).toBeNull()
    await user.click(screen.getByRole('radio', { name: 'returned by you' }))
    expect(sees.getByText('0.6 m')).toBeTruthy()
    await pickFrom(user, screen.getByLabelText('Plan'), 'Nothing')
    expect(sees.queryByText('0.6 m')).toBeNull()
    expect(sees.getByText('Nothing is told of how it went.')).toBeTruthy()
  })

  it('goes to the list when students cannot see it yet', async () => {
    const user = open('/handouts/new?edition=ed1')
    await user.click(await screen.findByLabelText('8 Kestrel, 28 students'))
    await user.click(screen.getByLabelText('Students can see it'))
    await user.click(go())
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/handouts'))
    expect(bodies('POST', '/api/handouts')).toMatchObject([{ visible: false }])
  })

  it('says where to go while no paper is published', async () => {
    serve({ ...base, 'GET /api/papers': { papers: [paper('Draft', null)] } })
    open()
    expect(await screen.findByText('No paper is published yet')).toBeTruthy()
    expect(screen.getByRole('link', { name: 'To the papers' })).toBeTruthy()
  })
})
