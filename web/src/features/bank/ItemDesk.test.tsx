import { cleanup, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve, serveAlso } from '@/testing/server'
import ItemDesk from './ItemDesk'
import type { Item } from '@/answers/kinds'
import { blankItem } from '@/answers/registry'

const terms = { skills: [], misconceptions: [], units: [] }
const stored = (change: object = {}) => ({
  id: 'i1',
  item: { ...blankItem('text'), title: 'Neap tide' } as Item,
  version: 4,
  author: 'Maren',
  updatedBy: 'Suvi',
  updatedAt: '',
  archived: false,
  defects: [],
  papers: ['Tides', 'Currents'],
  record: { handouts: 0, students: 0, facility: null, lines: [] },
  ...change,
})
const saving = ({ body }: { body: unknown }) => {
  const { item, version } = body as { item: Item; version: number }
  return stored({ item, version: version + 1 })
}
const serving = (by: object = {}) =>
  serve({
    'GET /api/bank/terms': terms,
    'GET /api/items/i1': stored(),
    'PUT /api/items/i1': saving,
    'POST /api/items': saving,
    'POST /api/items/try': {
      verdict: 'none',
      credit: null,
      line: '',
      readAs: '',
      feedback: '',
      misconceptions: [],
      numbers: {},
    },
    ...by,
  })
const open = (id = 'i1') => show(<ItemDesk />, `/bank/${id}`, '/bank/:id')
const write = (at = '/bank/new/text') => show(<ItemDesk />, at, '/bank/new/:type')
const title = () => screen.findByLabelText<HTMLInputElement>('Title, for the team')
const address = () => screen.getByLabelText('address').textContent
const titles = (method: string, path: string) =>
  bodies(method, path).map((b) => [(b as { item: Item }).item.title, (b as { version: number }).version])

beforeEach(() => serving())
afterEach(() => sessionStorage.clear())

describe('A question being written', () => {
  it('is saved by key with the version it came from, and only once there is something to save', async () => {
    const user = open()
    await user.type(await title(), ' again')
    expect(screen.getByText('not saved yet')).toBeTruthy()
    await user.keyboard('{Control>}s{/Control}')
    await screen.findByText(/^saved /)
    await user.type(await title(), '!')
    await user.keyboard('{Control>}s{/Control}')
    await waitFor(() => expect(titles('PUT', '/api/items/i1')).toHaveLength(2))
    expect(titles('PUT', '/api/items/i1')).toEqual([
      ['Neap tide again', 4],
      ['Neap tide again!', 5],
    ])
    await screen.findByText(/^saved /)
    expect((screen.getByRole('button', { name: 'Save question' }) as HTMLButtonElement).disabled).toBe(true)
  })

  it('becomes one question, however often the key is pressed', async () => {
    let answer: (() => void) | undefined
    serving({ 'POST /api/items': (s: { body: unknown }) => new Promise((done) => (answer = () => done(saving(s)))) })
    const user = write()
    await user.type(await title(), 'Slack water')
    await user.keyboard('{Control>}sss{/Control}')
    await waitFor(() => expect(answer).toBeDefined())
    answer?.()
    await waitFor(() => expect(address()).toBe('/bank/i1'))
    expect(titles('POST', '/api/items')).toEqual([['Slack water', 0]])
  })

  it('stays as typed when it is refused, with the reason at its line', async () => {
    serving({
      'PUT /api/items/i1': new Refusal(422, 'Some of this cannot be kept as it is.', '', {
        title: 'At most 120 characters.',
        'rule.forms.0.text': 'This is required.',
      }),
    })
    const user = open()
    await user.type(await title(), ' two')
    await user.click(screen.getByRole('button', { name: 'Save question' }))
    expect(await screen.findByText(/Some of this cannot be kept/)).toBeTruthy()
    expect(screen.getByText(/At most 120 characters/)).toBeTruthy()
    expect(screen.getByText(/Line 1: This is required/)).toBeTruthy()
    expect((await title()).value).toBe('Neap tide two')
    expect(screen.getByText('not saved yet')).toBeTruthy()
  })

  it('shows the defects that the save found, and where it stands', async () => {
    serving({
      'PUT /api/items/i1': (s: { body: unknown }) => ({
        ...saving(s),
        defects: [
          { message: 'No form is right.', blocks: true, where: '' },
          { message: 'There is no prompt.', blocks: false, where: '' },
        ],
      }),
    })
    const user = open()
    await user.type(await title(), '.')
    expect(screen.getByText('None found at the last save.')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Save question' }))
    expect(await screen.findByText('✕ No form is right.')).toBeTruthy()
    expect(screen.getByText('○ There is no prompt.')).toBeTruthy()
    expect(screen.getByText(/Tides, Currents\. Published editions stay as they are\./)).toBeTruthy()
  })

  it('written for a paper goes back into it, where the writer stood', async () => {
    const user = write('/bank/new/text?paper=p1&at=e2')
    await user.type(await title(), 'Slack water')
    await user.click(screen.getByRole('button', { name: 'Save into the paper' }))
    await waitFor(() => expect(address()).toBe('/papers/p1?take=i1&at=e2'))
  })
})

describe('What was not saved', () => {
  it('is back when the editor is opened again, and is saved from the version it was made from', async () => {
    const user = open()
    await user.type(await title(), ' two')
    await user.click(screen.getByRole('button', { name: 'Back to bank' }))
    expect(address()).toBe('/bank')
    cleanup()

    // Suvi has changed the prompt meanwhile, not the title.
    const hers = stored({ version: 5, item: { ...stored().item, prompt: '<p>By Suvi</p>' } })
    serving({
      'GET /api/items/i1': hers,
      'PUT /api/items/i1': ({ body }: { body: { version: number; item: Item } }) =>
        body.version === 5
          ? stored({ version: 6, item: body.item })
          : new Refusal(409, 'Suvi has changed it meanwhile.'),
    })
    const later = open()
    expect((await title()).value).toBe('Neap tide two')
    expect(screen.getByText(/What you had not saved is back/)).toBeTruthy()
    await later.keyboard('{Control>}s{/Control}')
    expect(await screen.findByText(/What was changed meanwhile is in this question too\./)).toBeTruthy()
    expect(await screen.findByText(/saved \d\d:\d\d/)).toBeTruthy()
    expect(titles('PUT', '/api/items/i1')).toEqual([
      ['Neap tide two', 4],
      ['Neap tide two', 5],
    ])
    expect((bodies('PUT', '/api/items/i1')[1] as { item: Item }).item.prompt).toBe('<p>By Suvi</p>')
    expect(screen.queryByText(/What you had not saved is back/)).toBeNull()
  })

  it('is laid beside what somebody else has made of the same, to pick from', async () => {
    const hers = stored({ version: 5, item: { ...stored().item, title: 'Neaps' } })
    serving({
      'PUT /api/items/i1': ({ body }: { body: { version: number; item: Item } }) =>
        body.version === 5
          ? stored({ version: 6, item: body.item })
          : new Refusal(409, 'Suvi has changed it meanwhile.'),
    })
    const user = open()
    await user.type(await title(), ' two')
    serveAlso({ 'GET /api/items/i1': hers })
    await user.keyboard('{Control>}s{/Control}')
    const both = within(await screen.findByRole('alert', { name: 'Changed by two' }))
    expect(both.getByText('The title')).toBeTruthy()
    await user.click(both.getByRole('button', { name: 'Open the newer one' }))
    expect((await title()).value).toBe('Neaps')
    await user.keyboard('{Control>}s{/Control}')
    expect(await screen.findByText(/saved \d\d:\d\d/)).toBeTruthy()
    expect(titles('PUT', '/api/items/i1').at(-1)).toEqual(['Neaps', 5])
  })

  it('may be dropped for what is saved', async () => {
    const user = open()
    await user.type(await title(), ' two')
    await user.click(screen.getByRole('button', { name: 'Back to bank' }))
    cleanup()
    serving({})
    const later = open()
    await later.click(await screen.findByRole('button', { name: 'Take the saved one instead' }))
    expect((await title()).value).toBe('Neap tide')
    expect(screen.queryByText(/What you had not saved is back/)).toBeNull()
  })

  it('is gone once it is saved', async () => {
    const user = open()
    await user.type(await title(), ' two')
    await user.click(screen.getByRole('button', { name: 'Save question' }))
    await screen.findByText(/^saved /)
    cleanup()
    serving()
    open()
    expect((await title()).value).toBe('Neap tide')
  })

  it('of one type is not offered for another', async () => {
    const user = write()
    await user.type(await title(), 'A text')
    cleanup()
    serving()
    write('/bank/new/open')
    expect((await title()).value).toBe('')
    cleanup()
    serving()
    const third = write()
    expect((await title()).value).toBe('A text')
    await third.click(screen.getByRole('button', { name: 'Start with an empty one' }))
    expect((await title()).value).toBe('')
  })

  it('that cannot be read is no hindrance', async () => {
    sessionStorage.setItem('chalk.unsaved.i1', '{"item":')
    open()
    expect((await title()).value).toBe('Neap tide')
  })
})

it('a question taken out of the list can be put back', async () => {
  serving({ 'DELETE /api/items/i1': null, 'POST /api/items/i1/restore': null })
  const user = open()
  await title()
  await user.click(screen.getByRole('button', { name: 'Archive' }))
  await waitFor(() => expect(address()).toBe('/bank'))
  await user.click(screen.getByRole('button', { name: 'Undo' }))
  await waitFor(() => expect(sent('POST', '/api/items/i1/restore')).toHaveLength(1))
})

it('a new question turned into another kind and back has lost nothing that was typed', async () => {
  serving()
  const user = write('/bank/new/text')
  await user.type(await title(), 'Which water')
  await user.type(await screen.findByLabelText('Text of form 1'), 'springs')
  await user.click(screen.getByRole('radio', { name: 'a number' }))
  await waitFor(() => expect(address()).toMatch(/^\/bank\/new\/number/))
  expect((await title()).value).toBe('Which water')
  expect(screen.queryByText(/What you had not saved is back/)).toBeNull()
  await user.click(screen.getByRole('radio', { name: 'words' }))
  expect((await screen.findByLabelText<HTMLInputElement>('Text of form 1')).value).toBe('springs')
  expect((await title()).value).toBe('Which water')
})
