import { screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { pickFrom, show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import { inRanges, Rehearsal } from './Rehearsal'

const share = (count: number, low: number, high: number) => ({ count, share: count / 400, low, high })
const way = (name: string, students: Schemas['PaperShareView']) => ({
  way: name,
  sections: [],
  students,
  leastQuestions: 7,
  mostQuestions: 7,
  points: '7',
  half: 300,
  most: 400,
})
const atEnd = { sectionId: 's1', exits: [], cut: null, cuts: [], withTwoMore: null }
const found = (change: Partial<Schemas['PaperRehearsalView']> = {}): Schemas['PaperRehearsalView'] => ({
  students: 400,
  questions: 9,
  known: 7,
  timed: 6,
  ways: [
    way('First look → Further out', share(300, 0.705, 0.79)),
    way('First look → Second look → Further out', share(100, 0.21, 0.295)),
  ],
  lengths: [
    { questions: 7, students: 300 },
    { questions: 11, students: 100 },
  ],
  abilities: [0.31, 0.42, 0.55, 0.7, 0.84].map((share) => ({ students: 80, share })),
  routes: [
    { ...atEnd, section: 'First look', students: 400, below: share(30, 0.053, 0.105), above: share(58, 0.114, 0.183) },
  ],
  seconds: [312, 455.2, 720],
  ...change,
})
const open = () => show(<Rehearsal paperId="p1" version={3} open onClose={() => undefined} />)
const rows = (title: string) =>
  within(screen.getByRole('heading', { name: title }).parentElement as HTMLElement)
    .getAllByRole('row')
    .map((r) => r.textContent)

it('many lengths stand in ranges, and nobody is lost between them', () => {
  const lengths = [7, 8, 9, 12, 18, 30].map((questions) => ({ questions, students: questions }))
  expect(inRanges(lengths)).toEqual([
    { label: '7–9', n: 24 },
    { label: '10–12', n: 12 },
    { label: '16–18', n: 18 },
    { label: '28–30', n: 30 },
  ])
  expect(inRanges(lengths.slice(0, 2))).toEqual([
    { label: '7', n: 7 },
    { label: '8', n: 8 },
  ])
})

describe('A rehearsal', () => {
  it('tells the ways, the lengths, the time and the marks that come of a draft', async () => {
    serve({ 'POST /api/papers/p1/rehearsal': found() })
    const user = open()
    expect(await screen.findByText('7 min 35 s')).toBeTruthy()
    expect(screen.getByText('12 min')).toBeTruthy()
    expect(rows('Which way do they go?')).toEqual([
      'First look → Further out30075 %, 71–79 %',
      'First look → Second look → Further out10025 %, 21–30 %',
    ])
    expect(rows('How many questions do they answer, returns counted?')).toEqual(['730075 %', '1110025 %'])
    expect(rows('What share of the marks do they reach?')[0]).toBe('least able fifth31 %')
    const route = screen.getByText(/After “First look”/).textContent
    expect(route).toContain('30 (8 %, 5–11 %) of 400 are sent below their level and 58 (15 %, 11–18 %) above it.')
    expect(route).toContain('err less')
    await user.click(screen.getByRole('button', { name: 'How was this computed?' }))
    expect(screen.getByText(/bank’s record for 7 of 9 questions/)).toBeTruthy()
    expect(bodies('POST', '/api/papers/p1/rehearsal')).toEqual([{ students: 400, seed: '1', holders: 0 }])
  })

  it('lets others sit it, and some of them hold a wrong idea', async () => {
    serve({ 'POST /api/papers/p1/rehearsal': found() })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Let others sit it' }))
    await pickFrom(user, screen.getByLabelText('Each wrong idea is held by'), '1 in 5')
    await waitFor(() =>
      expect(bodies('POST', '/api/papers/p1/rehearsal').at(-1)).toEqual({ students: 400, seed: '2', holders: 0.2 }),
    )
  })

  it('says less where there is one way only, and does not nag where a route errs little', async () => {
    serve({
      'POST /api/papers/p1/rehearsal': found({
        ways: [way('Tides', share(400, 0.99, 1))],
        lengths: [{ questions: 1, students: 400 }],
        routes: [
          { ...atEnd, section: 'Tides', students: 400, below: share(4, 0.004, 0.025), above: share(8, 0.01, 0.039) },
        ],
      }),
    })
    open()
    expect(await screen.findByText('Everybody answers 1 question.')).toBeTruthy()
    expect(screen.queryByRole('heading', { name: 'Which way do they go?' })).toBeNull()
    expect(screen.getByText(/After “Tides”/).textContent).not.toContain('err less')
  })

  it('says why a draft cannot be rehearsed', async () => {
    serve({
      'POST /api/papers/p1/rehearsal': new Refusal(
        409,
        'This paper cannot be rehearsed yet.',
        'Its routes go round without end.',
      ),
    })
    open()
    expect((await screen.findByRole('alert')).textContent).toContain('Its routes go round without end.')
  })
})
