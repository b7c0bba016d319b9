import { screen, within } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { offered, pickFrom, show } from '@/testing/page'
import { serve } from '@/testing/server'
import { Change } from './Change'

const change = (more: Partial<Schemas['ResultsChangeView']> = {}): Schemas['ResultsChangeView'] => ({
  earlier: [
    { id: 'h0', title: 'Five-minute check', madeAt: '2026-11-19T09:00:00Z', students: 44 },
    { id: 'h9', title: 'Chart work', madeAt: '2026-10-18T09:00:00Z', students: 1 },
  ],
  since: 'h0',
  same: false,
  lines: [
    {
      skill: null,
      before: 0.54,
      after: 0.62,
      change: { value: 0.08, n: 44, low: -0.004, high: 0.164, formula: 'Later less earlier.', note: null },
    },
    {
      skill: 'Bearings',
      before: 0.5,
      after: 0.25,
      change: { value: -0.25, n: 4, low: -0.6, high: 0.1, formula: 'Later less earlier.', note: 'few' },
    },
  ],
  students: [
    { studentId: 's1', name: 'Ada', before: 0.2, after: 0.5 },
    { studentId: 's2', name: 'Benoît', before: 0.5, after: 0.4 },
  ],
  ...more,
})
const open = (since: string | null = null, onSince = vi.fn()) => {
  const user = show(<Change id="h1" since={since} onSince={onSince} />)
  return { user, onSince }
}
const rows = async (caption: string) =>
  within(await screen.findByRole('table', { name: caption }))
    .getAllByRole('row')
    .slice(1)
    .map((r) => r.textContent)

describe('Change since an earlier handout', () => {
  it('is told for the whole and each skill, with its interval and n', async () => {
    serve({ 'GET /api/handouts/h1/results/change': change() })
    const { user } = open()
    expect(await rows('What has changed, and how sure is it?')).toEqual([
      'The whole54 %62 %+8 points0 to +1644',
      'Bearings50 %25 %−25 points−60 to +104 few',
    ])
    expect(screen.getByText(/The questions were not the same/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Change, the whole: how was this computed?' }))
    expect(await screen.findByText('Later less earlier.')).toBeTruthy()
  })

  it('names who has moved', async () => {
    serve({ 'GET /api/handouts/h1/results/change': change({ same: true }) })
    open()
    expect(await rows('Who has moved, and how far?')).toEqual(['Ada20 %50 %+30 points', 'Benoît50 %40 %−10 points'])
    expect(screen.getByText(/Both asked the same questions/)).toBeTruthy()
  })

  it('lets another handout be the one before', async () => {
    serve({
      'GET /api/handouts/h1/results/change': change(),
      'GET /api/handouts/h1/results/change?since=h9': change({ since: 'h9' }),
    })
    const { user, onSince } = open()
    const since = await screen.findByLabelText('Since')
    expect(await offered(user, since)).toEqual([
      expect.stringMatching(/^Five-minute check, .* \(44 students\)$/),
      expect.stringMatching(/^Chart work, .* \(1 student\)$/),
    ])
    await pickFrom(user, since, /^Chart work/)
    expect(onSince).toHaveBeenCalledWith('h9')
  })

  it('asks for the one that the address names', async () => {
    serve({
      'GET /api/handouts/h1/results/change': change(),
      'GET /api/handouts/h1/results/change?since=h9': change({ since: 'h9' }),
    })
    open('h9')
    expect((await screen.findByLabelText('Since')).textContent).toMatch(/^Chart work/)
  })

  it('says why there is nothing to compare with', async () => {
    serve({ 'GET /api/handouts/h1/results/change': change({ earlier: [], since: null, lines: [], students: [] }) })
    open()
    expect(await screen.findByText(/no earlier handout that at least two of these students sat too/)).toBeTruthy()
  })
})
