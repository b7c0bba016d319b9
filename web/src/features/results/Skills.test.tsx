import { screen, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { serve } from '@/testing/server'
import { Skills } from './Skills'

const figure = (value: number | null, n: number, note: string | null = null): Schemas['ResultsFigureView'] => ({
  value,
  n,
  low: null,
  high: null,
  formula: n > 3 ? 'Knowledge tracing.' : 'Mean credit.',
  note,
})
const skills: Schemas['ResultsSkillsView'] = {
  skills: [
    { id: 'k1', name: 'Chart scale', questions: 3, share: figure(0.5, 2) },
    { id: 'k2', name: 'Bearings', questions: 1, share: figure(0.4, 2) },
  ],
  students: [
    {
      studentId: 's1',
      name: 'Ada',
      shares: [figure(0.9, 3), figure(0.2, 1)],
      standing: [1, -1],
      toOthers: [1, 0],
      known: [figure(0.97, 6), figure(0.18, 1, 'few')],
    },
    {
      studentId: 's2',
      name: 'Benoît',
      shares: [figure(null, 0), figure(0.5, 1)],
      standing: [0, 0],
      toOthers: [0, -1],
      known: [figure(null, 0), figure(0.55, 4, 'few')],
    },
  ],
}
const cells = (name: string) =>
  within(screen.getByRole('rowheader', { name }).closest('tr') as HTMLElement)
    .getAllByRole('cell')
    .map((c) => c.textContent?.trim())

beforeEach(() => serve({ 'GET /api/handouts/h1/results/skills': skills }))

describe('Skills', () => {
  it('say what is strong and weak, beside the student’s own mean and beside others, in words', async () => {
    show(<Skills id="h1" />)
    expect(await screen.findByText('1 question')).toBeTruthy()
    expect(cells('All')).toEqual(['50 %', '40 %'])
    expect(cells('Ada')).toEqual(['▲ strong, above others90 %', '▼ weak20 %'])
    expect(cells('Benoît')).toEqual(['–', 'below others50 %'])
  })

  it('say what is probably known by all work so far, and how that was computed', async () => {
    const user = show(<Skills id="h1" />)
    await user.click(await screen.findByRole('button', { name: 'Probably known, by all work so far' }))
    expect(cells('Ada')).toEqual(['shown0.97', '0.18 few'])
    expect(cells('Benoît')).toEqual(['–', '0.55 few'])
    await user.click(screen.getByRole('button', { name: 'Chart scale, Ada: how was this computed?' }))
    expect((await screen.findByText('Knowledge tracing.')).parentElement?.textContent).toContain('n = 6')
  })

  it('say so where no question names a skill', async () => {
    serve({ 'GET /api/handouts/h1/results/skills': { skills: [], students: [] } })
    show(<Skills id="h1" />)
    expect(await screen.findByText('No question of this paper names a skill.')).toBeTruthy()
  })
})
