import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { sent, serve, serveAlso } from '@/testing/server'
import BankDesk from './BankDesk'
import { blankItem } from '@/answers/registry'

const line = (id: string, title: string) => ({
  id,
  title,
  type: 'text',
  gist: '',
  points: '1',
  skill: null,
  misconceptions: [],
  author: 'Maren',
  updatedAt: '2026-11-02T09:00:00Z',
  usedIn: 1,
  facility: 0.61,
  students: 84,
  remarks: 0,
})
const view = (id: string, title: string) => ({
  id,
  item: {
    ...blankItem('text'),
    title,
    rule: {
      ...blankItem('text').rule,
      forms: [{ text: `${title} key`, credit: '1', feedback: '', misconception: null }],
    },
  },
  version: 1,
  author: 'Maren',
  updatedBy: 'Maren',
  updatedAt: '',
  archived: false,
  defects: [],
  papers: ['Tides'],
  record: { handouts: 4, students: 84, facility: 0.61, seconds: 48.2, lines: [] },
})
beforeEach(() =>
  serve({
    'GET /api/bank/terms': {
      skills: [{ id: 'k1', name: 'Bearings', questions: 2 }],
      misconceptions: [{ id: 'm1', name: 'reciprocal by 360 − b', questions: 1 }],
      units: [],
    },
    'GET /api/items': {
      items: [line('i1', 'Neap tide'), line('i2', 'Buoy colours')],
      types: { text: 2, choice: 5 },
      skills: { k1: 2 },
      misconceptions: { m1: 1 },
      authors: { s1: 2 },
      names: { s1: 'Maren' },
      right: { high: 2 },
      used: 1,
      total: 2,
    },
    'GET /api/items/i1': view('i1', 'Neap tide'),
    'GET /api/items/i2': view('i2', 'Buoy colours'),
    'GET /api/bank/searches': { searches: [] },
    'GET /api/items/i1/remarks': { remarks: [] },
    'GET /api/items/i2/remarks': { remarks: [] },
  }),
)
const open = (at = '/bank') => show(<BankDesk />, at, '/bank')
const asked = () => sent('GET', '/api/items').at(-1)?.path

describe('The bank', () => {
  it('reads the first question with its key and record', async () => {
    open()
    expect(await screen.findByRole('heading', { name: 'Neap tide' })).toBeTruthy()
    expect(
      screen.getByText('61 % mean credit, 84 students in 4 handouts, first tries. Half answer within 48 s.'),
    ).toBeTruthy()
    expect(screen.getByText(/Neap tide key/)).toBeTruthy()
    expect(screen.getByText('2 questions')).toBeTruthy()
    expect(screen.getByRole('row', { name: /Neap tide/ }).textContent).toContain('61 % of 84')
  })

  it('hides the key by a key', async () => {
    const user = open()
    await screen.findByText(/Neap tide key/)
    await user.keyboard('v')
    expect(screen.queryByText(/Neap tide key/)).toBeNull()
  })

  it('leafs and opens by keys', async () => {
    const user = open()
    await screen.findByRole('heading', { name: 'Neap tide' })
    await user.keyboard('j')
    expect(await screen.findByRole('heading', { name: 'Buoy colours' })).toBeTruthy()
    await user.keyboard('{Enter}')
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/bank/i2'))
  })

  it('narrows by words, skill, misconception and type, and keeps them in the address', async () => {
    const user = open()
    await screen.findByRole('heading', { name: 'Neap tide' })
    await user.keyboard('/')
    expect(document.activeElement).toBe(screen.getByLabelText('Search'))
    await user.keyboard('tide')
    await waitFor(() => expect(asked()).toContain('q=tide'))
    const facet = async (name: string, value: RegExp) =>
      user.click(within(screen.getByRole('radiogroup', { name })).getByRole('radio', { name: value }))
    await facet('Skill', /Bearings ?2/)
    await facet('Shows the idea', /reciprocal/)
    await facet('The answer is', /words/)
    await waitFor(() => expect(asked()).toBe('/api/items?q=tide&skill=k1&misconception=m1&type=text'))
    expect(screen.getByLabelText('address').textContent).toBe('/bank?q=tide&skill=k1&misconception=m1&type=text')
  })

  it('narrows by how many were right, by use, by who wrote it, and shows what was archived', async () => {
    const user = open()
    await screen.findByRole('heading', { name: 'Neap tide' })
    const facet = async (name: string, value: RegExp) =>
      user.click(within(screen.getByRole('radiogroup', { name })).getByRole('radio', { name: value }))
    await facet('Right so far', /above 70 % ?2/)
    await facet('In papers', /in none yet ?1/)
    await facet('Written by', /Maren ?2/)
    await user.click(screen.getByLabelText('Show what was archived'))
    await waitFor(() => expect(asked()).toBe('/api/items?q=&author=s1&right=high&used=0&archived=1'))
  })

  it('has several chosen by keys or ticks for one act', async () => {
    serveAlso({ 'GET /api/papers': { papers: [] } })
    const user = open()
    await screen.findByRole('heading', { name: 'Neap tide' })
    await user.keyboard('xjx')
    expect(await screen.findByText('2 chosen')).toBeTruthy()
    await user.click(screen.getByLabelText('Choose Neap tide'))
    expect(screen.getByText('1 chosen')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Choose none' }))
    expect(screen.queryByText(/chosen/)).toBeNull()
  })

  it('begins a new question of any kind by a key', async () => {
    const user = open()
    await screen.findByRole('heading', { name: 'Neap tide' })
    await user.keyboard('n')
    await user.click(await screen.findByRole('menuitem', { name: 'a number' }))
    expect(screen.getByLabelText('address').textContent).toBe('/bank/new/number')
  })

  it('is sorted by the server, and fetched page by page', async () => {
    const all = Array.from({ length: 130 }, (_, i) => line(`n${i}`, `Question ${i}`))
    const page = (from: number) => ({
      items: all.slice(from, from + 100),
      types: { text: 130 },
      skills: {},
      misconceptions: {},
      authors: {},
      folders: {},
      names: {},
      right: {},
      used: 0,
      total: 130,
    })
    serveAlso({
      'GET /api/items': page(0),
      'GET /api/items?q=&sort=title': page(0),
      'GET /api/items?q=&sort=title&from=100': page(100),
      'GET /api/items/n0': view('n0', 'Question 0'),
      'GET /api/items/n0/remarks': { remarks: [] },
    })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Question' }))
    await waitFor(() =>
      expect(sent('GET', '/api/items').map((r) => r.path)).toContain('/api/items?q=&sort=title&from=100'),
    )
    expect(screen.getByText('130 questions')).toBeTruthy()
    expect(screen.getByRole('table').getAttribute('aria-rowcount')).toBe('131')
  })

  it('starts from a link with its filter', async () => {
    open('/bank?type=choice&q=buoy')
    await waitFor(() => expect(asked()).toBe('/api/items?q=buoy&type=choice'))
    expect((screen.getByLabelText('Search') as HTMLInputElement).value).toBe('buoy')
  })
})
