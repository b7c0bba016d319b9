import { screen, waitFor } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { bodies, serve } from '@/testing/server'
import { MendDialog } from './MendDialog'

const mend = (change: Partial<Schemas['MarkingMendView']> = {}): Schemas['MarkingMendView'] => ({
  from: 'ed1',
  fromNumber: 1,
  to: 'ed2',
  toNumber: 2,
  differences: [{ says: '“Which reef?”: another wording.', where: 'e1' }],
  refusals: [],
  atWork: 14,
  touched: 3,
  aside: 0,
  returned: 0,
  effects: [],
  ...change,
})
const open = (change?: Partial<Schemas['MarkingMendView']>) => {
  serve({ 'GET /api/handouts/h1/mend': mend(change), 'POST /api/handouts/h1/mend': mend(change) })
  const onClose = vi.fn()
  return { user: show(<MendDialog handoutId="h1" onClose={onClose} />), onClose }
}

describe('A later edition for those at work', () => {
  it('shows what it touches before anything changes, then gives it and can take it back', async () => {
    const { user, onClose } = open({ effects: [{ student: 'Ada', before: '1', after: '2', of: '4' }], aside: 1 })
    expect(await screen.findByText('“Which reef?”: another wording.')).toBeTruthy()
    expect(screen.getByText(/^3 students answered a question that says or asks something else/)).toBeTruthy()
    expect(screen.getByText(/^1 answer to questions that are gone is kept aside/)).toBeTruthy()
    expect(screen.getByRole('row', { name: 'Ada 1 2 of 4' })).toBeTruthy()
    expect(bodies('POST', '/api/handouts/h1/mend')).toEqual([])

    await user.click(screen.getByRole('button', { name: 'Give it to 14 students at work' }))
    await waitFor(() => expect(bodies('POST', '/api/handouts/h1/mend')).toEqual([{ editionId: 'ed2' }]))
    expect(onClose).toHaveBeenCalled()
    await user.click(await screen.findByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(bodies('POST', '/api/handouts/h1/mend')[1]).toEqual({ editionId: 'ed1' }))
  })

  it('says why it cannot be done, and offers nothing then', async () => {
    open({ refusals: ['Question 2, “Reef”, stands where another question stood.'] })
    expect(await screen.findByText(/stands where another question stood/)).toBeTruthy()
    expect(screen.queryByRole('button', { name: /Give it/ })).toBeNull()
  })
})
