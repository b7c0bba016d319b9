import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import PaperList from './PaperList'

const row = (change: object) =>
  ({
    id: 'p1',
    title: 'Tides',
    sections: 2,
    questions: 8,
    edition: 3,
    editionId: 'ed3',
    handouts: 1,
    ahead: false,
    updatedAt: '2025-10-03T09:05:00Z',
    updatedBy: 'Maren',
    ...change,
  }) as Schemas['PaperPaperRowView']
const papers = [
  row({}),
  row({ id: 'p2', title: '', edition: null, editionId: null, handouts: 0 }),
  row({ id: 'p3', title: 'Currents', ahead: true }),
]
const used = (change: object) => ({
  id: 'h1',
  paperId: 'p1',
  title: 'Tides',
  classes: ['8 Heron'],
  group: null,
  follows: null,
  status: 'open',
  closesAt: null,
  opensAt: null,
  madeAt: '2025-11-20T08:00:00Z',
  expected: 27,
  open: 2,
  handedIn: 3,
  returned: 0,
  waiting: 0,
  ...change,
})
const whole = {
  id: 'p1',
  version: 1,
  paper: {
    version: 1,
    title: 'Tides',
    mastery: null,
    sections: [
      {
        id: 's1',
        title: 'Section 1',
        route: null,
        entries: [
          { id: 'a', kind: 'source', source: { title: 'Tide table' } },
          { id: 'b', kind: 'question', item: 'q1', points: '1/2' },
        ],
      },
    ],
  },
  items: { q1: { title: 'Low water' } },
  proof: { defects: [], mayPublish: true, leastPoints: '1/2', mostPoints: '1/2', leastQuestions: 1, mostQuestions: 1 },
}
const open = () => show(<PaperList />, '/papers', '/papers')
const aside = () => within(screen.getByRole('region', { name: 'The chosen one' }))
const line = async (name: string) => within((await screen.findByRole('link', { name })).closest('tr') as HTMLElement)

const base = {
  'GET /api/papers': { papers },
  'GET /api/handouts': { handouts: [used({}), used({ id: 'h2', status: 'closed', classes: ['8 Tern'] })] },
  'GET /api/papers/p1': whole,
  'GET /api/papers/p2': whole,
  'GET /api/papers/p3': whole,
}
beforeEach(() => serve(base))

describe('The list of papers', () => {
  it('says of each how far it is', async () => {
    open()
    expect((await line('Tides')).getByRole('cell', { name: '3' })).toBeTruthy()
    expect(await (await line('Tides')).findByText(/^20 Nov 2025, 8 Heron$|, 8 Heron$/)).toBeTruthy()
    expect((await line('Currents')).getByText('never')).toBeTruthy()
    expect((await line('Untitled')).getByText('not published')).toBeTruthy()
    expect((await line('Currents')).getByText(/draft is ahead/)).toBeTruthy()
    expect(screen.getByText('3 papers')).toBeTruthy()
  })

  it('hands out what is published, and only that', async () => {
    const user = open()
    await line('Tides')
    expect(aside().getByRole('link', { name: 'Hand out' }).getAttribute('href')).toBe('/handouts/new?edition=ed3')
    await user.keyboard('j')
    expect(aside().getByRole('heading', { name: 'Untitled' })).toBeTruthy()
    expect(aside().queryByRole('link', { name: 'Hand out' })).toBeNull()
  })

  it('shows beside it what the chosen one holds and where it was used', async () => {
    open()
    expect(await screen.findByText('Low water')).toBeTruthy()
    expect(aside().getByText('2 sections, 8 questions, 0.5 marks')).toBeTruthy()
    expect(aside().getByRole('link', { name: '8 Heron' }).getAttribute('href')).toBe('/results/h1')
    expect(aside().getByRole('link', { name: '8 Tern' })).toBeTruthy()
  })

  it('is searched, sorted and narrowed, and keeps that in the address', async () => {
    const user = open()
    await line('Tides')
    const titles = () => screen.getAllByRole('rowheader').map((r) => r.textContent)
    await user.click(screen.getByRole('button', { name: 'Paper' }))
    expect(titles()).toEqual(['Currents', 'Tides', 'Untitled'])
    await user.click(screen.getByRole('button', { name: 'Paper' }))
    expect(titles()).toEqual(['Untitled', 'Tides', 'Currents'])
    expect(screen.getByRole('columnheader', { name: 'Paper' }).getAttribute('aria-sort')).toBe('descending')
    await user.click(screen.getByRole('radio', { name: 'Open now 1' }))
    expect(titles()).toEqual(['Tides'])
    await user.click(screen.getByRole('radio', { name: 'All 3' }))
    await user.type(screen.getByLabelText('Search in papers'), 'curr')
    await waitFor(() => expect(titles()).toEqual(['Currents']))
    expect(screen.getByLabelText('address').textContent).toBe('/papers?sort=-title&q=curr')
    await user.type(screen.getByLabelText('Search in papers'), 'zzz')
    await user.click(await screen.findByRole('button', { name: 'Show all 3' }))
    expect(titles()).toHaveLength(3)
  })

  it('starts one paper, however often the key is pressed, and opens it', async () => {
    let answer: (() => void) | undefined
    serve({
      ...base,
      'POST /api/papers': () => new Promise((done) => (answer = () => done({ id: 'p9' }))),
    })
    const user = open()
    await line('Tides')
    await user.keyboard('nnn')
    await waitFor(() => expect(answer).toBeDefined())
    answer?.()
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/papers/p9'))
    expect(bodies('POST', '/api/papers')).toHaveLength(1)
    expect(bodies('POST', '/api/papers')[0]).toMatchObject({
      version: 0,
      paper: { version: 1, sections: [{ title: 'Section 1', entries: [] }] },
    })
  })

  it('says why none could be started', async () => {
    serve({ ...base, 'POST /api/papers': new Refusal(403, 'Only teachers write papers.') })
    const user = open()
    await line('Tides')
    await user.click(screen.getByRole('button', { name: /New paper/ }))
    expect(await screen.findByText(/Only teachers write papers/)).toBeTruthy()
  })

  it('takes a paper out of the list, and back again', async () => {
    let listed = papers
    serve({
      ...base,
      'GET /api/papers': () => ({ papers: listed }),
      'DELETE /api/papers/p1': () => ((listed = papers.slice(1)), null),
      'POST /api/papers/p1/restore': () => ((listed = papers), null),
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Archive Tides' }))
    await waitFor(() => expect(screen.queryByRole('link', { name: 'Tides' })).toBeNull())
    expect(screen.getByText('"Tides" is out of the list. Its handouts go on.')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Undo' }))
    expect(await screen.findByRole('link', { name: 'Tides' })).toBeTruthy()
    expect(sent('POST', '/api/papers/p1/restore')).toHaveLength(1)
  })

  it('tells a team without papers what one is', async () => {
    serve({ ...base, 'GET /api/papers': { papers: [] } })
    open()
    expect(await screen.findByText('No paper yet')).toBeTruthy()
    expect(screen.queryByRole('table')).toBeNull()
  })

  it('says when it cannot be read, and tries again when asked', async () => {
    serve({ ...base, 'GET /api/papers': new Refusal(503, 'Back in a minute.') })
    const user = open()
    await screen.findByText(/Back in a minute/)
    serve(base)
    await user.click(screen.getByRole('button', { name: /again/i }))
    expect(await screen.findByRole('link', { name: 'Tides' })).toBeTruthy()
  })
})
