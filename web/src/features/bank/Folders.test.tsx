import { screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve, serveAlso } from '@/testing/server'
import { Folders } from './Folders'

const year = { id: 'f1', name: 'Year 8', own: false, questions: 2 }
const own = { id: 'f2', name: 'To improve', own: true, questions: 1 }
const view = (...folders: object[]) => ({ folders, made: null, put: [] })
beforeEach(() =>
  serve({
    'GET /api/bank/folders': view(year, own),
    'PUT /api/bank/folders/f1': view({ ...year, name: 'Year nine' }, own),
    'DELETE /api/bank/folders/f1': view(own),
    'POST /api/bank/folders': view(year, own),
    'GET /api/items': { items: [{ id: 'i1' }, { id: 'i2' }], total: 2 },
  }),
)

let at = ''
function Facets() {
  const [value, setValue] = useState('')
  at = value
  return <Folders value={value} counts={{ f1: 2, f2: 1 }} onChange={setValue} />
}

describe('The bank by folders', () => {
  it('tells the team’s from one’s own, and looks into one', async () => {
    const user = show(<Facets />)
    await user.click(await screen.findByRole('radio', { name: /Year 8/ }))
    expect(at).toBe('f1')
    expect(screen.getByRole('radio', { name: /To improve \(own\)/ })).toBeTruthy()
  })

  it('names one anew, and says why it cannot', async () => {
    const user = show(<Facets />)
    await user.click(await screen.findByRole('radio', { name: /Year 8/ }))
    await user.click(screen.getByRole('button', { name: 'Rename …' }))
    const name = await screen.findByLabelText('Name')
    expect(name).toHaveProperty('value', 'Year 8')
    serveAlso({ 'PUT /api/bank/folders/f1': new Refusal(422, 'No.', '', { name: 'There is already one called "x".' }) })
    await user.click(screen.getByRole('button', { name: 'Rename it' }))
    expect(await screen.findByText(/There is already one/)).toBeTruthy()
    serveAlso({ 'PUT /api/bank/folders/f1': view({ ...year, name: 'Year nine' }, own) })
    await user.click(screen.getByRole('button', { name: 'Rename it' }))
    expect(await screen.findByRole('radio', { name: /Year nine/ })).toBeTruthy()
  })

  it('drops one, whose questions stay, and makes it again as it was', async () => {
    const user = show(<Facets />)
    await user.click(await screen.findByRole('radio', { name: /Year 8/ }))
    await user.click(screen.getByRole('button', { name: 'Drop it' }))
    await waitFor(() => expect(screen.queryByRole('radio', { name: /Year 8/ })).toBeNull())
    expect(at).toBe('')
    await user.click(await screen.findByRole('button', { name: /Undo/ }))
    await waitFor(() => expect(sent('POST', '/api/bank/folders')).toHaveLength(1))
    expect(bodies('POST', '/api/bank/folders')).toMatchObject([{ name: 'Year 8', own: false }])
    expect(new Set((bodies('POST', '/api/bank/folders')[0] as { items: string[] }).items)).toEqual(
      new Set(['i1', 'i2']),
    )
  })
})
