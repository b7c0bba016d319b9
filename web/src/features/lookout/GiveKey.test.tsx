import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import LookoutDesk from './LookoutDesk'
import { row, snapshot } from './testing'

const sheet = () => {
  const picture = snapshot([row('Ada'), row('Benoît')])
  const columns = picture.columns.map((column, i) => ({ ...column, keyless: i === 0 ? { a: 'A', b: 'B' } : {} }))
  return { ...picture, columns }
}
const key = (entry: string) => `/api/handouts/h1/keys/${entry}`

beforeEach(() => {
  vi.stubGlobal(
    'EventSource',
    class {
      close() {}
    },
  )
})

describe('A key that is given later', () => {
  it('is a letter or is typed, marks the answers and can be taken back', async () => {
    serve({
      'GET /api/handouts/h1/lookout': sheet(),
      [`POST ${key('e1')}`]: { changeId: 'k1', gains: [{}, {}] },
      [`POST ${key('e2')}`]: new Refusal(409, 'This is no number.'),
      'POST /api/key-changes/k1/undo': {},
    })
    const user = show(<LookoutDesk />, '/lookout/h1', '/lookout/:id')
    expect(await screen.findByText('The key is still to be given: answers wait for it.')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Give the key' }))
    const dialog = within(await screen.findByRole('dialog'))
    await user.type(dialog.getByLabelText('Key of question 2'), 'four{Enter}')
    expect(await dialog.findByText(/This is no number/)).toBeTruthy()
    expect((dialog.getByLabelText('Key of question 2') as HTMLInputElement).value).toBe('four')
    await user.click(dialog.getByRole('button', { name: 'B is the key of question 1' }))
    expect(await dialog.findByText('B: 2 answers right')).toBeTruthy()
    await user.click(dialog.getByRole('button', { name: 'Take back the key of question 1' }))
    await waitFor(() => expect(sent('POST', '/api/key-changes/k1/undo')).toHaveLength(1))
    expect(await dialog.findByRole('button', { name: 'B is the key of question 1' })).toBeTruthy()
    expect(bodies('POST', key('e1'))).toEqual([{ accept: { options: ['b'] }, credit: '1' }])
    expect(bodies('POST', key('e2'))).toEqual([{ accept: { text: 'four' }, credit: '1' }])
  })
})
