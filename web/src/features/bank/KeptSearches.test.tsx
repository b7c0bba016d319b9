import { screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve, serveAlso } from '@/testing/server'
import { KeptSearches } from './KeptSearches'

const hard = { id: 'k1', name: 'Hard ones', query: 'right=low' }
beforeEach(() =>
  serve({
    'GET /api/bank/searches': { searches: [hard] },
    'POST /api/bank/searches': { searches: [hard, { id: 'k2', name: 'Scale', query: 'q=scale' }] },
    'DELETE /api/bank/searches/k1': { searches: [] },
  }),
)

describe('Kept searches', () => {
  it('lead to what was looked for, and mark the one that is shown', async () => {
    const user = show(<KeptSearches query="right=low" />, '/bank', '/bank')
    const link = await screen.findByRole('link', { name: 'Hard ones' })
    expect(link.getAttribute('aria-current')).toBe('page')
    expect(screen.queryByRole('button', { name: 'Keep this search' })).toBeNull()
    await user.click(link)
    expect(screen.getByLabelText('address').textContent).toBe('/bank?right=low')
  })

  it('keep what is looked for under a name', async () => {
    const user = show(<KeptSearches query="q=scale" />, '/bank', '/bank')
    await user.click(await screen.findByRole('button', { name: 'Keep this search' }))
    await screen.findByLabelText('Name of the search')
    await user.keyboard('{Enter}')
    expect(await screen.findByText(/Give it a name/)).toBeTruthy()
    await user.keyboard('Scale{Enter}')
    expect(await screen.findByRole('link', { name: 'Scale' })).toBeTruthy()
    expect(bodies('POST', '/api/bank/searches')).toEqual([{ name: 'Scale', query: 'q=scale' }])
  })

  it('say why one cannot be kept, and lose no name', async () => {
    serveAlso({ 'POST /api/bank/searches': new Refusal(422, 'No.', '', { name: 'You keep 30 searches already.' }) })
    const user = show(<KeptSearches query="q=scale" />, '/bank', '/bank')
    await user.click(await screen.findByRole('button', { name: 'Keep this search' }))
    await user.keyboard('Scale{Enter}')
    expect(await screen.findByText(/You keep 30/)).toBeTruthy()
    expect(screen.getByLabelText<HTMLInputElement>('Name of the search').value).toBe('Scale')
    await user.keyboard('{Escape}')
    expect(screen.queryByLabelText('Name of the search')).toBeNull()
  })

  it('are dropped, and taken back', async () => {
    const user = show(<KeptSearches query="" />, '/bank', '/bank')
    await user.click(await screen.findByRole('button', { name: 'No longer keep Hard ones' }))
    await waitFor(() => expect(screen.queryByRole('link', { name: 'Hard ones' })).toBeNull())
    await user.click(await screen.findByRole('button', { name: /Undo/ }))
    await waitFor(() => expect(sent('POST', '/api/bank/searches')).toHaveLength(1))
    expect(bodies('POST', '/api/bank/searches')).toEqual([{ name: 'Hard ones', query: 'right=low' }])
  })
})
