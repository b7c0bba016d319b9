import { useState } from 'react'
import { screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import { ManyBar } from './ManyBar'

const whole = (id: string, title: string, students: number) => ({
  id,
  item: { title, points: '1', prompt: `<p>${title}?</p>` },
  record: { students, facility: 0.5, handouts: 1, seconds: null },
  papers: [],
})
const answers = {
  'GET /api/papers': { papers: [{ id: 'p1', title: 'Tides' }] },
  'GET /api/bank/terms': { skills: [{ id: 'k1', name: 'Bearings' }], misconceptions: [], units: [] },
  'POST /api/items/many/archive': null,
  'POST /api/items/many/restore': null,
  'POST /api/items/many/copy': { ids: ['c1', 'c2'] },
  'POST /api/items/many/skills': { before: { i1: null, i2: 'k2' } },
  'GET /api/items/i1': whole('i1', 'Range of tide', 3),
  'GET /api/items/i2': whole('i2', 'Tidal range', 40),
  'PUT /api/items/i1/part-of': null,
  'GET /api/bank/folders': { folders: [{ id: 'f1', name: 'Year 8', own: false, questions: 3 }] },
  'POST /api/bank/folders': { folders: [], made: 'f2', put: [] },
  'PUT /api/bank/folders/f1/items': { folders: [], made: null, put: ['i2'] },
  'DELETE /api/bank/folders/f2': { folders: [], made: null, put: [] },
}
beforeEach(() => serve(answers))

function Bar({ archived = false, folder = '' }: { archived?: boolean; folder?: string }) {
  const [ids, setIds] = useState(['i1', 'i2'])
  return (
    <>
      {ids.length > 0 ? (
        <ManyBar ids={ids} archived={archived} folder={folder} onDone={() => setIds([])} />
      ) : (
        <p>none chosen</p>
      )}
    </>
  )
}
const press = (name: string) => screen.findByRole('button', { name })

describe('Acts on several questions', () => {
  it('archive them, and bring them back when that is taken back', async () => {
    const user = show(<Bar />)
    await user.click(await press('Archive'))
    expect(await screen.findByText('none chosen')).toBeTruthy()
    expect(bodies('POST', '/api/items/many/archive')).toEqual([{ ids: ['i1', 'i2'] }])
    await user.click(await screen.findByRole('button', { name: /Undo/ }))
    await waitFor(() => expect(bodies('POST', '/api/items/many/restore')).toEqual([{ ids: ['i1', 'i2'] }]))
  })

  it('copy them; taking that back puts the copies away', async () => {
    const user = show(<Bar />)
    await user.click(await press('Copy'))
    await user.click(await screen.findByRole('button', { name: /Undo/ }))
    await waitFor(() => expect(bodies('POST', '/api/items/many/archive')).toEqual([{ ids: ['c1', 'c2'] }]))
  })

  it('give them a skill; taking that back gives each the one it had', async () => {
    const user = show(<Bar />)
    await user.click(await press('Skill'))
    await user.click(await screen.findByRole('menuitem', { name: 'Bearings' }))
    await user.click(await screen.findByRole('button', { name: /Undo/ }))
    await waitFor(() => expect(sent('POST', '/api/items/many/skills')).toHaveLength(2))
    expect(bodies('POST', '/api/items/many/skills')).toEqual([
      { skills: { i1: 'k1', i2: 'k1' } },
      { skills: { i1: null, i2: 'k2' } },
    ])
  })

  it('put them into a folder; taking that back leaves those in it that lay there before', async () => {
    const user = show(<Bar />)
    await user.click(await press('Folder'))
    await user.click(await screen.findByRole('menuitem', { name: 'Year 8' }))
    await user.click(await screen.findByRole('button', { name: /Undo/ }))
    await waitFor(() =>
      expect(bodies('PUT', '/api/bank/folders/f1/items')).toEqual([
        { put: ['i1', 'i2'], take: [] },
        { put: [], take: ['i2'] },
      ]),
    )
  })

  it('put them into a new folder of one’s own, and take them out of the one that is looked into', async () => {
    const user = show(<Bar folder="f1" />)
    await user.click(await press('Folder'))
    await user.click(await screen.findByRole('menuitem', { name: 'New folder …' }))
    await user.type(await screen.findByLabelText('Name'), 'To improve')
    await user.click(screen.getByRole('radio', { name: 'nobody but me' }))
    await user.click(screen.getByRole('button', { name: 'Put 2 questions into it' }))
    await waitFor(() =>
      expect(bodies('POST', '/api/bank/folders')).toEqual([{ name: 'To improve', own: true, items: ['i1', 'i2'] }]),
    )
    await user.click(await screen.findByRole('button', { name: /Undo/ }))
    await waitFor(() => expect(sent('DELETE', '/api/bank/folders/f2')).toHaveLength(1))
  })

  it('take them out of the folder that is looked into', async () => {
    const user = show(<Bar folder="f1" />)
    await user.click(await press('Take out of the folder'))
    await waitFor(() => expect(bodies('PUT', '/api/bank/folders/f1/items')).toEqual([{ put: [], take: ['i1', 'i2'] }]))
  })

  it('put two that are the same together, keeping the one that more have answered, and take that back', async () => {
    const user = show(<Bar />)
    await user.click(await press('The same …'))
    expect(await screen.findByText(/“Range of tide” leaves the bank/)).toBeTruthy()
    await user.click(screen.getByRole('radio', { name: /Range of tide/ }))
    expect(screen.getByText(/“Tidal range” leaves the bank/)).toBeTruthy()
    await user.click(screen.getByRole('radio', { name: /Tidal range/ }))
    await user.click(screen.getByRole('button', { name: 'Keep one of them' }))
    await waitFor(() => expect(bodies('PUT', '/api/items/i1/part-of')).toEqual([{ into: 'i2' }]))
    await user.click(await screen.findByRole('button', { name: /Undo/ }))
    await waitFor(() => expect(bodies('POST', '/api/items/many/restore')).toEqual([{ ids: ['i1'] }]))
  })

  it('take them into a paper', async () => {
    const user = show(<Bar />, '/bank', '/bank')
    await user.click(await press('Take into a paper'))
    await user.click(await screen.findByRole('menuitem', { name: 'Tides' }))
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/papers/p1?take=i1,i2'))
  })

  it('stay chosen when nothing was done, and say why', async () => {
    serve({ ...answers, 'POST /api/items/many/archive': new Refusal(404, 'One of the questions is not here.') })
    const user = show(<Bar />)
    await user.click(await press('Archive'))
    expect(await screen.findByText(/One of the questions/)).toBeTruthy()
    expect(screen.getByText('2 chosen')).toBeTruthy()
  })
})
