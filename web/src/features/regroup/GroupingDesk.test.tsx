import { act, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { offered, pickFrom, show } from '@/testing/page'
import { bodies, Refusal, sent, serve, serveAlso } from '@/testing/server'
import GroupingDesk from './GroupingDesk'

const group = (
  name: string,
  members: string[],
  change: Partial<Schemas['RegroupGroupView']> = {},
): Schemas['RegroupGroupView'] => ({
  id: null,
  name,
  about: null,
  nextStep: '',
  members: members.map((m) => ({ studentId: m, name: m, reason: `${m} chose so.`, rate: null, share: 0.5 })),
  handouts: [],
  ...change,
})
const proposal = {
  id: null,
  handoutId: 'h1',
  handout: 'Tides',
  name: 'After Tides',
  aim: 'misconception',
  groups: [
    group('Adds instead', ['Ada', 'Benoît'], { about: 'm1', nextStep: 'Draw the curve.' }),
    group('No shared idea', ['Cleo']),
  ],
  madeAt: null,
  madeBy: null,
  keysOut: [],
  absent: [{ studentId: 'Dag', name: 'Dag' }],
}
const kept = {
  ...proposal,
  id: 'g1',
  madeAt: '2026-11-02T09:00:00Z',
  madeBy: 'Maren',
  groups: [group('Adds instead', ['Ada', 'Benoît'], { id: 'a' }), group('No shared idea', ['Cleo'], { id: 'b' })],
}
const inGroup = (name: string) => within(screen.getByRole('region', { name }))
const members = (name: string) =>
  inGroup(name)
    .queryAllByRole('listitem')
    .map((li) => li.querySelector('span')?.textContent)

/** Chooses a student on the board; what is known of them stands at the right. */
const choose = async (user: ReturnType<typeof show>, name: string) =>
  user.click(await screen.findByRole('button', { name: new RegExp(`^${name}`) }))
const move = async (user: ReturnType<typeof show>, name: string, to: string) => {
  await choose(user, name)
  await user.click(screen.getByRole('button', { name: `Move to ${to}` }))
}

beforeEach(() =>
  serve({
    'GET /api/handouts/h1/groups': proposal,
    'POST /api/handouts/h1/groupings': { ...proposal, id: 'g1' },
    'GET /api/groupings/g1': kept,
    'GET /api/papers': {
      papers: [
        { id: 'p1', title: 'Second look', editionId: 'ed1' },
        { id: 'p2', title: 'Draft', editionId: null },
      ],
    },
    'POST /api/groupings/g1/follow-ups': {
      ...kept,
      groups: [
        group('Adds instead', ['Ada', 'Benoît'], { id: 'a', handouts: [{ id: 'f1', title: 'Second look' }] }),
        kept.groups[1],
      ],
    },
  }),
)
const propose = () => show(<GroupingDesk />, '/groups/of/h1', '/groups/of/:handout')

describe('A proposed grouping', () => {
  it('says for every student why they are there', async () => {
    const user = propose()
    await choose(user, 'Ada')
    expect(screen.getByText('Ada chose so.')).toBeTruthy()
    expect(screen.getByText('50 % of the marks.')).toBeTruthy()
    expect(inGroup('Adds instead').getByText('2 students')).toBeTruthy()
    expect(inGroup('Adds instead').getByText('Draw the curve.')).toBeTruthy()
    await choose(user, 'Cleo')
    expect(screen.getByText('Cleo chose so.')).toBeTruthy()
    expect(screen.queryByText('Ada chose so.')).toBeNull()
  })

  it('lists who has handed nothing in, and so is in no group', async () => {
    propose()
    expect(await screen.findByRole('heading', { name: '1 student without results' })).toBeTruthy()
    expect(screen.getByText(/nothing places them: Dag\./)).toBeTruthy()
  })

  it('is one Tab stop; arrows go through it, and with Alt they move the student and keep the focus', async () => {
    const user = propose()
    const ada = await screen.findByRole('button', { name: /^Ada/ })
    expect(
      screen.getAllByRole('button', { pressed: false }).filter((b) => b.dataset.roving && b.tabIndex === 0),
    ).toEqual([ada])
    ada.focus()
    await user.keyboard('{ArrowDown}')
    expect(document.activeElement?.textContent).toContain('Benoît')
    expect(screen.getByText('Benoît chose so.')).toBeTruthy()
    await user.keyboard('{ArrowRight}')
    expect(document.activeElement?.textContent).toContain('Cleo')
    await user.keyboard('{Alt>}{ArrowLeft}{/Alt}')
    expect(members('Adds instead')).toEqual(['Ada', 'Benoît', 'Cleo'])
    expect(document.activeElement?.textContent).toContain('Cleo')
    expect(screen.getByText('Cleo is in “Adds instead” now.')).toBeTruthy()
    expect(screen.getByText('Moved here by hand, from "No shared idea".')).toBeTruthy()
  })

  it('says how often a student shows the group’s idea, with interval and formula', async () => {
    const rate = { value: 0.5, n: 2, low: 0.147, high: 0.853, formula: 'Posterior mean.', note: 'few' }
    const members = [{ studentId: 'Ada', name: 'Ada', reason: 'Showed this idea 2 of 2 times.', rate, share: 0.5 }]
    serve({ 'GET /api/handouts/h1/groups': { ...proposal, groups: [{ ...group('Adds instead', []), members }] } })
    const user = propose()
    await choose(user, 'Ada')
    expect((await screen.findByText(/Showed this idea 2 of 2 times/)).textContent).toBe(
      'Showed this idea 2 of 2 times. Rate 50 %, 15 to 85 %, few.',
    )
    await user.click(screen.getByRole('button', { name: 'Rate of Ada: how was this computed?' }))
    expect(await screen.findByText('Posterior mean.')).toBeTruthy()
  })

  it('is changed by hand, step by step back, and says who moved whom', async () => {
    const user = propose()
    await move(user, 'Ada', 'No shared idea')
    expect(members('Adds instead')).toEqual(['Benoît'])
    expect(members('No shared idea')).toEqual(['Cleo', 'Ada'])
    expect(screen.getByText('Moved here by hand, from "Adds instead".')).toBeTruthy()
    await move(user, 'Benoît', 'No shared idea')
    expect(members('Adds instead')).toEqual([])
    await user.click(screen.getByRole('button', { name: 'Undo' }))
    expect(members('Adds instead')).toEqual(['Benoît'])
    await user.keyboard('{Control>}z{/Control}')
    expect(members('Adds instead')).toEqual(['Ada', 'Benoît'])
    expect((screen.getByRole('button', { name: 'Undo' }) as HTMLButtonElement).disabled).toBe(true)
  })

  it('asks for another aim by a key', async () => {
    const user = propose()
    await screen.findByRole('button', { name: /^Ada/ })
    await user.keyboard('2')
    await waitFor(() => expect(sent('GET', '/api/handouts/h1/groups').at(-1)?.path).toContain('by=rung'))
    expect(screen.getByLabelText('Aim').textContent).toBe('By rung')
  })

  it('is kept without its empty groups', async () => {
    const user = propose()
    await move(user, 'Cleo', 'Adds instead')
    await user.clear(screen.getByLabelText('Name of the grouping'))
    await user.type(screen.getByLabelText('Name of the grouping'), 'Monday')
    await user.click(screen.getByRole('button', { name: 'Keep this grouping' }))
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/groups/g1'))
    expect(bodies('POST', '/api/handouts/h1/groupings')).toEqual([
      {
        name: 'Monday',
        aim: 'misconception',
        groups: [
          {
            name: 'Adds instead',
            about: 'm1',
            members: [
              { studentId: 'Ada', reason: 'Ada chose so.' },
              { studentId: 'Benoît', reason: 'Benoît chose so.' },
              { studentId: 'Cleo', reason: 'Moved here by hand, from "No shared idea".' },
            ],
          },
        ],
      },
    ])
  })
})

describe('A grouping by plan', () => {
  const fit = {
    value: 0.067,
    bound: 0.049,
    measure: 'mean distance from the group’s mean',
    better: 'less',
    broken: [],
    clash: null,
    elsewhere: [],
  }
  const planned = { ...proposal, aim: 'alike', name: 'Tides, alike', fit }

  it('asks for so many even groups, and says how good they are', async () => {
    serve({ 'GET /api/handouts/h1/groups': proposal, 'POST /api/handouts/h1/groups': planned })
    const user = propose()
    await pickFrom(user, await screen.findByLabelText('Aim'), 'Alike in level')
    expect(await screen.findByText('6.7 %')).toBeTruthy()
    expect(screen.getByText(/less is better, 4.9 % is the limit/)).toBeTruthy()
    expect(screen.getByText('✓ Every constraint is kept.')).toBeTruthy()
    expect(bodies('POST', '/api/handouts/h1/groups')).toEqual([
      { aim: 'alike', groups: 6, least: 1, most: 1, apart: [], together: [], classes: false, class: '' },
    ])
    const number = screen.getByRole('slider', { name: 'Groups' })
    act(() => number.focus())
    await user.keyboard('{Home}{ArrowRight}')
    await waitFor(() =>
      expect(bodies('POST', '/api/handouts/h1/groups').at(-1)).toMatchObject({ groups: 2, least: 1, most: 2 }),
    )
    expect(document.activeElement).toBe(number)
  })

  it('keeps two apart, and says what cannot be kept', async () => {
    const clash = {
      ...fit,
      broken: ['Ada and Cleo are in one group, though they should be apart.'],
      clash: 'That needs 3 groups, and there are 2.',
    }
    serve({
      'GET /api/handouts/h1/groups': proposal,
      'POST /api/handouts/h1/groups': ({ body }: { body: unknown }) =>
        (body as { apart: string[][] }).apart.length > 0 ? { ...planned, fit: clash } : planned,
    })
    const user = propose()
    await pickFrom(user, await screen.findByLabelText('Aim'), 'Mixed on purpose')
    const keep = await screen.findByRole('button', { name: 'Keep apart' })
    expect((keep as HTMLButtonElement).disabled).toBe(true)
    await pickFrom(user, screen.getByLabelText('Apart: first student'), 'Ada')
    await pickFrom(user, screen.getByLabelText('Apart: second student'), 'Cleo')
    await user.click(keep)
    expect(await screen.findByText('✕ That needs 3 groups, and there are 2.')).toBeTruthy()
    expect(screen.getByText('○ Ada and Cleo are in one group, though they should be apart.')).toBeTruthy()
    expect(bodies('POST', '/api/handouts/h1/groups').at(-1)).toMatchObject({ apart: [['Ada', 'Cleo']] })
    await user.click(screen.getByRole('button', { name: 'Apart: drop Ada and Cleo' }))
    expect(await screen.findByText('✓ Every constraint is kept.')).toBeTruthy()
  })

  it('is weighed anew when a student is moved by hand', async () => {
    serve({
      'GET /api/handouts/h1/groups': proposal,
      'POST /api/handouts/h1/groups': ({ body }: { body: unknown }) =>
        (body as { fixed?: unknown }).fixed
          ? { ...planned, fit: { ...fit, value: 0.2, elsewhere: [0.07, 0.2] } }
          : planned,
    })
    const user = propose()
    await pickFrom(user, await screen.findByLabelText('Aim'), 'Alike in level')
    await screen.findByText('6.7 %')
    await move(user, 'Ada', 'No shared idea')
    expect(await screen.findByText('20.0 %')).toBeTruthy()
    expect(await screen.findByText('20.0 % → 7.0 %')).toBeTruthy()
    expect(bodies('POST', '/api/handouts/h1/groups').at(-1)).toMatchObject({
      fixed: { Ada: 1, Benoît: 0, Cleo: 1 },
      consider: 'Ada',
    })
    await user.click(screen.getByRole('button', { name: 'Undo' }))
    expect(await screen.findByText('6.7 %')).toBeTruthy()
  })
})

describe('A kept grouping', () => {
  const open = () => show(<GroupingDesk />, '/groups/g1', '/groups/:id')

  it('hands each group its next paper in one act', async () => {
    const user = open()
    const pick = await screen.findByLabelText('Adds instead, 2 students')
    expect(await offered(user, pick, 2)).toEqual(['nothing', 'Second look'])
    expect((screen.getByRole('button', { name: 'Hand out follow-ups' }) as HTMLButtonElement).disabled).toBe(true)
    await pickFrom(user, pick, 'Second look')
    await pickFrom(user, screen.getByLabelText('What students are told'), 'Right or wrong at once')
    await user.click(screen.getByLabelText('A second attempt, the best counts'))
    await user.click(screen.getByRole('button', { name: 'Hand out to 1 group' }))
    expect(await screen.findByText('✓ handed: Second look')).toBeTruthy()
    expect(bodies('POST', '/api/groupings/g1/follow-ups')).toMatchObject([
      {
        groups: [{ groupId: 'a', editionId: 'ed1' }],
        conditions: { feedback: { verdict: 'at once', marks: 'returned' }, attempts: 2, counts: 'best' },
      },
    ])
  })

  it('takes back what it has just handed out', async () => {
    serveAlso({ 'DELETE /api/handouts/f1': null })
    const user = open()
    const pick = await screen.findByLabelText('Adds instead, 2 students')
    await pickFrom(user, pick, 'Second look')
    await user.click(screen.getByRole('button', { name: 'Hand out to 1 group' }))
    await user.click(await screen.findByRole('button', { name: 'Undo' }))
    expect(await screen.findByText('1 follow-up taken back.')).toBeTruthy()
    expect(sent('DELETE', '/api/handouts/f1')).toHaveLength(1)
  })

  it('says when the keys of a follow-up are out', async () => {
    serve({
      'GET /api/groupings/g1': {
        ...kept,
        keysOut: [{ editionId: 'ed1', questions: 2, from: ['Tides check', 'Harbour log'] }],
      },
      'GET /api/papers': { papers: [{ id: 'p1', title: 'Second look', editionId: 'ed1' }] },
    })
    const user = open()
    const pick = await screen.findByLabelText('Adds instead, 2 students')
    expect(screen.queryByText(/keys are out/)).toBeNull()
    await pickFrom(user, pick, 'Second look')
    expect(screen.getByText('2 questions of “Tides check” and “Harbour log”, whose keys are out.')).toBeTruthy()
  })

  it('hands the same group another paper later, as an act of its own', async () => {
    const user = open()
    for (let i = 0; i < 2; i++) {
      const pick = await screen.findByLabelText('Adds instead, 2 students')
      await pickFrom(user, pick, 'Second look')
      await user.click(screen.getByRole('button', { name: 'Hand out to 1 group' }))
      await waitFor(() => expect(pick.textContent).toBe('nothing'))
    }
    const ids = bodies('POST', '/api/groupings/g1/follow-ups').map(
      (b) => (b as { groups: { requestId: string }[] }).groups[0]?.requestId,
    )
    expect(new Set(ids).size).toBe(2)
  })

  it('moves a student to another group, and back with the reason they had', async () => {
    const after = {
      ...kept,
      groups: [group('Adds instead', ['Benoît'], { id: 'a' }), group('No shared idea', ['Ada', 'Cleo'], { id: 'b' })],
    }
    serve({
      'GET /api/groupings/g1': kept,
      'GET /api/papers': { papers: [] },
      'POST /api/groupings/g1/moves': ({ body }: { body: unknown }) =>
        (body as { groupId: string }).groupId === 'b' ? after : kept,
    })
    const user = open()
    await move(user, 'Ada', 'No shared idea')
    await waitFor(() => expect(members('No shared idea')).toEqual(['Ada', 'Cleo']))
    expect((await screen.findAllByText('Ada is in “No shared idea” now.')).length).toBeGreaterThan(0)
    await user.click(screen.getByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(members('Adds instead')).toEqual(['Ada', 'Benoît']))
    expect(bodies('POST', '/api/groupings/g1/moves')).toEqual([
      { studentId: 'Ada', groupId: 'b' },
      { studentId: 'Ada', groupId: 'a', reason: 'Ada chose so.' },
    ])
  })

  it('keeps the choice when handing out fails', async () => {
    serve({
      'GET /api/groupings/g1': kept,
      'GET /api/papers': { papers: [{ id: 'p1', title: 'Second look', editionId: 'ed1' }] },
      'POST /api/groupings/g1/follow-ups': new Refusal(409, 'This group is gone.', 'Open the grouping again.'),
    })
    const user = open()
    const pick = await screen.findByLabelText('No shared idea, 1 student')
    await pickFrom(user, pick, 'Second look')
    await user.click(screen.getByRole('button', { name: 'Hand out to 1 group' }))
    expect(await screen.findByText(/This group is gone/)).toBeTruthy()
    expect(pick.textContent).toBe('Second look')
  })
})
