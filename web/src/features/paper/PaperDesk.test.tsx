import { act, cleanup, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { sessionResumed } from '@/lib/session'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import { type Paper } from './draft'
import PaperDesk from './PaperDesk'

const paper: Paper = {
  version: 1,
  title: 'Tides',
  mastery: null,
  sections: [
    {
      id: 's1',
      title: 'First look',
      entries: [
        { id: 'a', kind: 'question', item: 'i1', points: '1' },
        { id: 'b', kind: 'question', item: 'i2', points: '2' },
      ],
      route: null,
    },
    { id: 's2', title: 'Further', entries: [], route: null },
  ],
}
const proof = {
  defects: [],
  mayPublish: true,
  leastPoints: '3',
  mostPoints: '3',
  leastQuestions: 2,
  mostQuestions: 2,
  exits: [],
}
const stored = (change: object = {}) =>
  ({
    id: 'p1',
    paper,
    version: 1,
    items: { i1: { title: 'Low water' }, i2: { title: 'Range' } },
    proof,
    editionId: null,
    edition: null,
    ahead: false,
    changed: [],
    savedAt: '',
    ...change,
  }) as unknown as Schemas['PaperPaperView']
const saving = ({ body }: { body: unknown }) => {
  const sentPaper = body as { paper: Paper; version: number }
  return stored({ paper: sentPaper.paper, version: sentPaper.version + 1 })
}
const row = (id: string, title: string, points = '1') => ({
  id,
  title,
  points,
  type: 'text',
  gist: `About ${title}`,
  skill: null,
  misconceptions: [],
  author: '',
  updatedAt: '',
  usedIn: 0,
  facility: id === 'i1' ? 0.61 : null,
  students: 84,
})
const serving = (by: object = {}) =>
  serve({
    'PUT /api/papers/p1': saving,
    'GET /api/items': {
      items: [row('i1', 'Low water'), row('i3', 'Slack water', '3'), row('i4', 'Ebb')],
      types: {},
      total: 3,
    },
    ...by,
  })
const open = (view = stored(), at = '/papers/p1') =>
  show(
    <PaperDesk
      stored={view}
      question={(item) => <p>{item.title} in full</p>}
      card={(item) => <p>card of {item.title}</p>}
      printing={() => null}
    />,
    at,
    '/papers/:id',
  )
const rehearsed = {
  students: 400,
  questions: 2,
  known: 0,
  timed: 0,
  ways: [],
  lengths: [],
  abilities: [],
  routes: [],
  seconds: [60, 90, 120],
}
const address = () => screen.getByLabelText('address').textContent
const last = () => (bodies('PUT', '/api/papers/p1').at(-1) as { paper: Paper } | undefined)?.paper
const outline = () =>
  within(screen.getByRole('region', { name: 'Outline' }))
    .getAllByRole('listitem')
    .filter((li) => li.querySelector('ol') === null)
    .map((li) => li.textContent?.replace('⠿', ''))

beforeEach(() => serving())

describe('The desk of a paper', () => {
  it('shows the part that is selected in full, and leafs by keys over sections', async () => {
    const user = open()
    expect(screen.getByText('Low water in full')).toBeTruthy()
    await user.keyboard('j')
    expect(screen.getByText('Range in full')).toBeTruthy()
    await user.keyboard('j')
    expect(screen.getByText(/“Further” is empty/)).toBeTruthy()
    await user.keyboard('jkk')
    expect(screen.getByText('Low water in full')).toBeTruthy()
  })

  it('moves a part by keys, over the edge of its section, and takes that back', async () => {
    const user = open()
    await user.keyboard('{Alt>}{ArrowDown}{/Alt}')
    expect(outline()).toEqual(['1Range', '2Low water', 'Nothing here yet'])
    await user.keyboard('{Alt>}{ArrowDown}{/Alt}')
    expect(outline()).toEqual(['1Range', '2Low water'])
    await user.keyboard('{Control>}z{/Control}')
    await user.click(screen.getByRole('button', { name: 'Undo' }))
    expect(outline()).toEqual(['1Low water', '2Range', 'Nothing here yet'])
    expect((screen.getByRole('button', { name: 'Undo' }) as HTMLButtonElement).disabled).toBe(true)
    await user.keyboard('{Control>}{Shift>}z{/Shift}{/Control}')
    expect(outline()).toEqual(['1Range', '2Low water', 'Nothing here yet'])
  })

  it('shows who else is at it and where, and takes in what they save', async () => {
    const named = { ...paper, title: 'Named by Idris' }
    serving({
      'PUT /api/papers/p1/here': { version: 2, others: [{ name: 'Idris', part: 'b' }] },
      'GET /api/papers/p1': stored({ paper: named, version: 2 }),
    })
    open()
    expect(await screen.findByText(/Idris is here too/)).toBeTruthy()
    expect(outline()[1]).toBe('2RangeIdris')
    expect(await screen.findByRole('heading', { name: 'Named by Idris' })).toBeTruthy()
    expect(bodies('PUT', '/api/papers/p1/here')[0]).toEqual({ part: 'a' })
    // What a colleague did is no step of one's own.
    expect((screen.getByRole('button', { name: 'Undo' }) as HTMLButtonElement).disabled).toBe(true)
  })

  it('takes a part out and goes on with the next', async () => {
    const user = open()
    await user.keyboard('{Delete}')
    expect(screen.getByText('Range in full')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Take out' }))
    expect(screen.getByText(/“First look” is empty/)).toBeTruthy()
    await waitFor(() => expect(last()?.sections[0]?.entries).toEqual([]), { timeout: 3000 })
  })

  it('types a title without leafing through the paper', async () => {
    const user = open()
    await user.type(screen.getAllByLabelText('Title')[0] as HTMLElement, ' jjs')
    expect(screen.getByText('Low water in full')).toBeTruthy()
    await waitFor(() => expect(last()?.title).toBe('Tides jjs'), { timeout: 3000 })
  })

  it('adds a source behind the selected part, and a section at the end', async () => {
    const user = open()
    await user.keyboard('s')
    expect(outline()).toEqual(['1Low water', '¶New source', '2Range', 'Nothing here yet'])
    await user.click(screen.getByRole('button', { name: 'Add a section' }))
    expect(screen.getByText(/“Section 3” is empty/)).toBeTruthy()
    await waitFor(() => expect(last()?.sections.map((s) => s.title)).toEqual(['First look', 'Further', 'Section 3']), {
      timeout: 3000,
    })
  })

  it('takes questions from the bank in the order they were ticked, with their own marks', async () => {
    const user = open()
    await user.keyboard('a')
    const picker = within(await screen.findByRole('dialog', { name: 'Take questions from the bank' }))
    expect((await picker.findByText('Low water')).parentElement?.textContent).toContain('in this paper')
    expect(picker.getByText(/61 % of 84/)).toBeTruthy()
    await user.click(picker.getByRole('checkbox', { name: /Ebb/ }))
    await user.click(picker.getByRole('checkbox', { name: /Slack water/ }))
    await user.click(picker.getByRole('button', { name: 'Take 2 questions' }))
    expect(outline()).toEqual(['1Low water', '2Ebb', '3Slack water', '4Range', 'Nothing here yet'])
    await waitFor(
      () =>
        expect(last()?.sections[0]?.entries.map((e) => (e.kind === 'question' ? [e.item, e.points] : []))).toEqual([
          ['i1', '1'],
          ['i4', '1'],
          ['i3', '3'],
          ['i2', '2'],
        ]),
      { timeout: 3000 },
    )
  })

  it('saves before a new question is written, and says where it is to stand', async () => {
    const user = open()
    await user.keyboard('j')
    await user.type(screen.getAllByLabelText('Title')[0] as HTMLElement, '!')
    await user.click(screen.getByRole('button', { name: 'New question' }))
    await user.click(await screen.findByRole('menuitem', { name: 'a number' }))
    await waitFor(() => expect(address()).toBe('/bank/new/number?paper=p1&at=b'))
    expect(last()?.title).toBe('Tides!')
  })

  it('takes in the question that was written for it, once, where the writer stood', async () => {
    serving({ 'GET /api/items/i9': { id: 'i9', item: { title: 'Over the bar', points: '4' } } })
    open(stored(), '/papers/p1?take=i9&at=a')
    await waitFor(() => expect(outline()).toEqual(['1Low water', '2Over the bar', '3Range', 'Nothing here yet']))
    expect(address()).toBe('/papers/p1')
    await waitFor(() => expect(last()?.sections[0]?.entries[1]).toMatchObject({ item: 'i9', points: '4' }), {
      timeout: 3000,
    })
    expect(sent('GET', '/api/items/i9')).toHaveLength(1)
  })
})

describe('Publishing', () => {
  it('is closed while a defect blocks, and says which', () => {
    open(
      stored({
        proof: {
          ...proof,
          mayPublish: false,
          defects: [{ message: 'The question has no key.', blocks: true, where: 'b' }],
        },
      }),
    )
    const button = screen.getByRole('button', { name: 'Publish edition 1' }) as HTMLButtonElement
    expect(button.disabled).toBe(true)
    expect(outline()?.[1]).toBe('2Range ✕')
    expect(screen.getByRole('button', { name: /^1 defect ?: The question has no key\.$/ })).toBeTruthy()
  })

  it('leads to the defects from wherever one is, once', async () => {
    const defects = [{ message: 'Section "Further" has no question.', blocks: true, where: 's2' }]
    const user = open(stored({ proof: { ...proof, defects } }), '/papers/p1?on=routes')
    await user.click(await screen.findByRole('button', { name: /^1 defect/ }))
    const head = await screen.findByRole('heading', { name: 'Proof' })
    await waitFor(() => expect(document.activeElement).toBe(head))
    expect(address()).toBe('/papers/p1')
    await user.click(screen.getByRole('button', { name: /^✕ Section "Further"/ }))
    expect(document.activeElement).not.toBe(head)
  })

  it('makes an edition, which can be handed out', async () => {
    serving({ 'POST /api/papers/p1/publish': stored({ edition: 1, editionId: 'ed1' }) })
    const user = open()
    await user.click(screen.getByRole('button', { name: 'Publish edition 1' }))
    expect(await screen.findByText('Edition 1 is published. It can be handed out.')).toBeTruthy()
    expect(screen.getByRole('link', { name: 'Hand out' }).getAttribute('href')).toBe('/handouts/new?edition=ed1')
  })

  it('says why it was refused', async () => {
    serving({
      'POST /api/papers/p1/publish': new Refusal(422, 'This cannot be published yet.', 'A question has gone.'),
    })
    const user = open()
    await user.click(screen.getByRole('button', { name: 'Publish edition 1' }))
    expect(await screen.findByText(/This cannot be published yet\. A question has gone\./)).toBeTruthy()
  })
})

it('is rehearsed as it stands: what was just changed is saved first', async () => {
  serving({ 'POST /api/papers/p1/rehearsal': rehearsed })
  const user = open()
  await user.type(screen.getAllByLabelText('Title')[0] as HTMLElement, '!')
  await user.click(screen.getByRole('button', { name: /Rehearse/ }))
  expect(await screen.findByText('400 made-up students sit this draft')).toBeTruthy()
  expect((await screen.findByText(/Half are done within/)).textContent).toContain('1 min 30 s')
  expect(sent('PUT', '/api/papers/p1')).toHaveLength(1)
})

it('offers no rehearsal of nothing', () => {
  serving()
  open(stored({ proof: { ...proof, leastQuestions: 0, mostQuestions: 0, exits: [] } }))
  expect(screen.queryByRole('button', { name: /Rehearse/ })).toBeNull()
})

it('a paper whose title two have changed shows both side by side, and goes on from what is picked', async () => {
  const newer = stored({ version: 5, paper: { ...paper, title: 'Ebb' } })
  serving({
    'PUT /api/papers/p1': ({ body }: { body: { version: number; paper: Schemas['Paper'] } }) =>
      body.version === 5
        ? stored({ version: 6, paper: body.paper })
        : new Refusal(409, 'Suvi has changed this paper meanwhile.'),
    'GET /api/papers/p1': newer,
  })
  const user = open()
  const title = () => screen.getAllByLabelText('Title')[0] as HTMLInputElement
  await user.type(title(), '!')
  const both = within(await screen.findByRole('alert', { name: 'Changed by two' }, { timeout: 3000 }))
  expect(both.getByText(/Suvi has changed this paper meanwhile\./)).toBeTruthy()
  expect(title().value).toBe('Tides!')
  expect(both.getAllByRole('radio').map((r) => [r.getAttribute('aria-checked')])).toEqual([['true'], ['false']])
  await user.click(both.getByLabelText('Ebb'))
  await user.click(both.getByRole('button', { name: 'Keep what is picked' }))
  expect(await screen.findByText(/saved \d\d:\d\d/)).toBeTruthy()
  expect(title().value).toBe('Ebb')
  await user.click(within(screen.getByRole('banner')).getByRole('button', { name: 'Undo' }))
  expect(title().value).toBe('Tides!')
})

describe('What did not reach the server', () => {
  const title = () => within(screen.getByRole('region', { name: 'Outline' })).getByLabelText<HTMLInputElement>('Title')
  const titled = (view: Schemas['PaperPaperView']) => view.paper.title
  const typeTitle = async (user: ReturnType<typeof open>) => {
    await user.clear(title())
    await user.type(title(), 'Currents')
  }

  it('is back when the desk is opened again, and is saved then', async () => {
    serving({ 'PUT /api/papers/p1': new Refusal(503, 'Back in a minute.') })
    const user = open()
    await typeTitle(user)
    expect(await screen.findByText(/Back in a minute/)).toBeTruthy()
    cleanup()
    serving()
    open()
    expect(title().value).toBe('Currents')
    expect(screen.getByText(/What you had not saved is back/)).toBeTruthy()
    await waitFor(() =>
      expect(bodies('PUT', '/api/papers/p1')).toMatchObject([{ version: 1, paper: { title: 'Currents' } }]),
    )
    cleanup()
    open(stored({ version: 2, paper: { ...paper, title: 'Currents' } }))
    expect(screen.queryByText(/What you had not saved is back/)).toBeNull()
  })

  it('is sent again by itself when the server can be reached', async () => {
    let calls = 0
    let back = (): void => undefined
    const isBack = new Promise<void>((go) => (back = go))
    serving({
      'PUT /api/papers/p1': (asked: { body: unknown }) =>
        ++calls === 1 ? new Refusal(503, 'Back in a minute.') : isBack.then(() => saving(asked)),
    })
    const user = open()
    await typeTitle(user)
    await waitFor(() => expect(calls).toBe(2))
    back()
    expect(await screen.findByText(/saved \d\d:\d\d/)).toBeTruthy()
    expect(screen.queryByText(/Back in a minute/)).toBeNull()
  })

  it('is sent as soon as a session that had ended goes on', async () => {
    let inside = false
    serving({
      'PUT /api/papers/p1': (asked: { body: unknown }) => (inside ? saving(asked) : new Refusal(401, 'Sign in first.')),
    })
    await typeTitle(open())
    await screen.findByText(/Sign in first/)
    inside = true
    act(() => sessionResumed())
    expect(await screen.findByText(/saved \d\d:\d\d/)).toBeTruthy()
  })

  it('does not go over what somebody else has saved since', async () => {
    serving({ 'PUT /api/papers/p1': new Refusal(503, 'Back in a minute.') })
    await typeTitle(open())
    await screen.findByText(/Back in a minute/)
    cleanup()
    const newer = stored({ version: 5, paper: { ...paper, title: 'Ebb' } })
    serving({
      'PUT /api/papers/p1': ({ body }: { body: { version: number } }) =>
        body.version === 5 ? newer : new Refusal(409, 'Suvi saved it meanwhile.'),
      'GET /api/papers/p1': newer,
    })
    const user = open(newer)
    await user.click(await screen.findByRole('button', { name: 'Open the newer one' }))
    await waitFor(() => expect(title().value).toBe(titled(newer)))
    await user.click(within(screen.getByRole('banner')).getByRole('button', { name: 'Undo' }))
    expect(title().value).toBe('Currents')
  })
})
