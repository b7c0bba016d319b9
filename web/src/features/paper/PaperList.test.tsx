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
const open = () => show(<PaperList />, '/papers', '/papers')
const line = async (name: string) => within((await screen.findByRole('link', { name })).closest('tr') as HTMLElement)

beforeEach(() => serve({ 'GET /api/papers': { papers } }))

describe('The list of papers', () => {
  it('says of each how far it is', async () => {
    open()
    expect((await line('Tides')).getByText('3, 1 handout')).toBeTruthy()
    expect((await line('Untitled')).getByText('not published')).toBeTruthy()
    expect((await line('Currents')).getByText(/draft is ahead/)).toBeTruthy()
    expect(screen.getByText('3 papers')).toBeTruthy()
  })

  it('hands out what is published, and only that', async () => {
    open()
    expect((await line('Tides')).getByRole('link', { name: 'Hand out' }).getAttribute('href')).toBe(
      '/handouts/new?edition=ed3',
    )
    expect((await line('Untitled')).queryByRole('link', { name: 'Hand out' })).toBeNull()
  })

  it('starts one paper, however often the key is pressed, and opens it', async () => {
    let answer: (() => void) | undefined
    serve({
      'GET /api/papers': { papers },
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
    serve({ 'GET /api/papers': { papers }, 'POST /api/papers': new Refusal(403, 'Only teachers write papers.') })
    const user = open()
    await line('Tides')
    await user.click(screen.getByRole('button', { name: /New paper/ }))
    expect(await screen.findByText(/Only teachers write papers/)).toBeTruthy()
  })

  it('takes a paper out of the list, and back again', async () => {
    let listed = papers
    serve({
      'GET /api/papers': () => ({ papers: listed }),
      'DELETE /api/papers/p1': () => ((listed = papers.slice(1)), null),
      'POST /api/papers/p1/restore': () => ((listed = papers), null),
    })
    const user = open()
    await user.click((await line('Tides')).getByRole('button', { name: 'Archive Tides' }))
    await waitFor(() => expect(screen.queryByRole('link', { name: 'Tides' })).toBeNull())
    expect(screen.getByText('"Tides" is out of the list. Its handouts go on.')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Undo' }))
    expect(await screen.findByRole('link', { name: 'Tides' })).toBeTruthy()
    expect(sent('POST', '/api/papers/p1/restore')).toHaveLength(1)
  })

  it('tells a team without papers what one is', async () => {
    serve({ 'GET /api/papers': { papers: [] } })
    open()
    expect(await screen.findByText('No paper yet')).toBeTruthy()
    expect(screen.queryByRole('table')).toBeNull()
  })

  it('says when it cannot be read, and tries again when asked', async () => {
    serve({ 'GET /api/papers': new Refusal(503, 'Back in a minute.') })
    const user = open()
    await screen.findByText(/Back in a minute/)
    serve({ 'GET /api/papers': { papers } })
    await user.click(screen.getByRole('button', { name: /again/i }))
    expect(await screen.findByRole('link', { name: 'Tides' })).toBeTruthy()
  })
})
