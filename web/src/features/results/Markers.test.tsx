import { screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import { Markers } from './Markers'

const figure = (value: number | null, change: Partial<Schemas['ResultsFigureView']> = {}) => ({
  value,
  n: 27,
  low: null,
  high: null,
  formula: 'A formula.',
  note: null,
  ...change,
})
const agreement = (change: Partial<Schemas['ResultsAgreementView']> = {}): Schemas['ResultsAgreementView'] => ({
  entry: 'e5',
  number: 5,
  title: 'Why springs follow the moon',
  rubric: [{ name: 'Cause', points: ['0', '2', '4'] }],
  answers: 27,
  markers: ['Bram', 'Idris'],
  criteria: [
    {
      name: 'Cause',
      exact: figure(0.63, { low: 0.44, high: 0.78 }),
      adjacent: figure(1),
      kappa: figure(0.66, { low: 0.42, high: 0.82, note: 'few', formula: 'Cohen’s κ.' }),
      alpha: figure(null, { note: 'All marks are the same.' }),
      icc: figure(0.67),
      severity: [
        { marker: 'Bram', severity: figure(-0.37) },
        { marker: 'Idris', severity: figure(0.37) },
      ],
    },
  ],
  apart: [
    {
      sittingId: 's1',
      try: 1,
      student: 'Ada',
      given: 'The moon is closer.',
      marks: [
        { marker: 'Bram', levels: [0] },
        { marker: 'Idris', levels: [2] },
      ],
      now: [0],
      comment: 'Read line 4.',
      markVersion: 3,
    },
  ],
  ...change,
})
const serving = (questions: Schemas['ResultsAgreementView'][], by: object = {}) =>
  serve({ 'GET /api/handouts/h1/results/markers': { questions }, ...by })

describe('Markers', () => {
  it('tell how far they agree, with intervals, and who is strict', async () => {
    serving([agreement()])
    const user = show(<Markers id="h1" />)
    const row = (await screen.findByRole('rowheader', { name: 'Cause' })).closest('tr') as HTMLElement
    expect(
      within(row)
        .getAllByRole('cell')
        .map((c) => c.textContent),
    ).toEqual(['63 %44 to 78 %', '100 %', '0.660.42 to 0.82, few', '–', '0.67', 'Bram −0.37Idris +0.37'])
    await user.click(screen.getByRole('button', { name: 'Weighted κ, Cause: how was this computed?' }))
    expect(await screen.findByText('Cohen’s κ.')).toBeTruthy()
    await user.keyboard('{Escape}')
    const without = screen.getAllByRole('button', { name: /how was this computed/ }).find((b) => b.textContent === '–')
    await user.click(without as HTMLElement)
    expect(await screen.findByText(/All marks are the same/)).toBeTruthy()
  })

  it('let either mark count, keep the comment, and say which one does', async () => {
    serving([agreement()], { 'PUT /api/marks': {} })
    const user = show(<Markers id="h1" />)
    expect(await screen.findByText('Cause 0')).toBeTruthy()
    expect(screen.getByText('Cause 4')).toBeTruthy()
    expect(screen.getAllByText('✓ counts')).toHaveLength(1)
    await user.click(screen.getByRole('button', { name: 'Let Idris’s mark count for Ada' }))
    expect(await screen.findByText('Ada: Idris’s mark counts now.')).toBeTruthy()
    expect(bodies('PUT', '/api/marks')).toEqual([
      {
        sittingId: 's1',
        entry: 'e5',
        try: 1,
        levels: [2],
        credit: null,
        comment: 'Read line 4.',
        markVersion: 3,
      },
    ])
    await waitFor(() => expect(sent('GET', '/api/handouts/h1/results/markers').length).toBeGreaterThan(1))
  })

  it('show what has changed meanwhile instead of overwriting it', async () => {
    serving([agreement()], {
      'PUT /api/marks': new Refusal(409, 'Somebody marked this answer before you.', 'Their mark is shown now.'),
    })
    const user = show(<Markers id="h1" />)
    await user.click(await screen.findByRole('button', { name: 'Let Idris’s mark count for Ada' }))
    expect(await screen.findByText(/Somebody marked this answer before you/)).toBeTruthy()
    await waitFor(() => expect(sent('GET', '/api/handouts/h1/results/markers').length).toBeGreaterThan(1))
  })

  it('say where nothing was marked twice, and where all agree', async () => {
    serving([
      agreement({ answers: 0, markers: [], apart: [] }),
      agreement({ entry: 'e8', title: 'Gannet Head', apart: [] }),
    ])
    show(<Markers id="h1" />)
    expect(await screen.findByText(/No answer has been marked twice/)).toBeTruthy()
    expect(screen.getByRole('link', { name: 'Mark a second time' }).getAttribute('href')).toBe(
      '/marking/h1/e5?second=1',
    )
    expect(screen.getByText('✓ They agree on every answer.')).toBeTruthy()
  })
})
