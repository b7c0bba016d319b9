import { screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { pickFrom, show } from '@/testing/page'
import { bodies, sent, serve } from '@/testing/server'
import Trail from './Trail'

const line = (id: string, change: Partial<Schemas['IdentityTrailLineView']> = {}) => ({
  id,
  at: '2026-11-20T10:00:00.000Z',
  by: 'Maren',
  did: 'published edition 2 of',
  subject: 'Tides',
  subjectKind: 'paper',
  subjectId: 'p1',
  detail: '',
  times: 1,
  undo: null,
  ...change,
})
const view = (lines: Schemas['IdentityTrailLineView'][], older: string | null = null) => ({
  lines,
  staff: [{ id: 'u1', name: 'Maren' }],
  older,
})

describe('The trail', () => {
  it('tells day by day who did what to what, with a way to it', async () => {
    serve({
      'GET /api/trail': view([
        line('a', { did: 'worked on the paper', times: 14 }),
        line('b', {
          at: '2026-11-19T10:00:00.000Z',
          did: 'added 27 students to',
          subject: '8 Tern',
          subjectKind: 'class',
          subjectId: 'c1',
        }),
      ]),
    })
    show(<Trail />)
    const days = await screen.findAllByRole('region', { name: /2026/ })
    expect(days.map((d) => d.getAttribute('aria-label'))).toEqual([
      'Friday, 20 November 2026',
      'Thursday, 19 November 2026',
    ])
    expect(within(days[0]!).getByRole('listitem').textContent).toContain('Maren worked on the paper Tides, 14 times')
    expect(screen.getByRole('link', { name: '8 Tern' }).getAttribute('href')).toBe('/classes/c1')
    expect(screen.queryByRole('button', { name: 'Older' })).toBeNull()
  })

  it.each([
    ['key', 'k1', null, '/api/key-changes/k1/undo'],
    ['item', 'i1', null, '/api/items/i1/restore'],
    ['paper', 'p1', null, '/api/papers/p1/restore'],
    ['grouping', 'g1', null, '/api/groupings/g1/restore'],
    ['student', 's1', 'c1', '/api/classes/c1/students/s1/return'],
  ])('takes a change of a %s back', async (kind, id, within, path) => {
    let undone = false
    serve({
      'GET /api/trail': () => view([line('a', { undo: undone ? null : { kind, id, within } })]),
      [`POST ${path}`]: () => {
        undone = true
        return {}
      },
    })
    const user = show(<Trail />)
    await user.click(await screen.findByRole('button', { name: /^Take back/ }))
    expect(sent('POST', path)).toHaveLength(1)
    await waitFor(() => expect(screen.queryByRole('button', { name: /^Take back/ })).toBeNull())
    expect(screen.getByText('Taken back: Maren published edition 2 of Tides.')).toBeTruthy()
  })

  it('narrows by person and subject, and offers everything again', async () => {
    serve({ 'GET /api/trail': ({ path }: { path: string }) => view(path.includes('kind=skill') ? [] : [line('a')]) })
    const user = show(<Trail />)
    await screen.findByText('Tides')
    await pickFrom(user, screen.getByLabelText('By'), 'by Maren')
    await pickFrom(user, screen.getByLabelText('Of'), 'of skills')
    expect(await screen.findByText('Nothing of this kind')).toBeTruthy()
    expect(sent('GET', '/api/trail').at(-1)?.path).toContain('by=u1&kind=skill')
    await user.click(screen.getByRole('button', { name: 'Show everything' }))
    expect(await screen.findByText('Tides')).toBeTruthy()
  })

  it('reads further back on asking', async () => {
    serve({
      'GET /api/trail': ({ path }: { path: string }) =>
        path.includes('before=a') ? view([line('b', { subject: 'Charts' })]) : view([line('a')], 'a'),
    })
    const user = show(<Trail />)
    await user.click(await screen.findByRole('button', { name: 'Older' }))
    expect(await screen.findByText('Charts')).toBeTruthy()
    expect(screen.getByText('Tides')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Older' })).toBeNull()
    expect(bodies('GET', '/api/trail')).toHaveLength(2)
  })
})
