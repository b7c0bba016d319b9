import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { pickFrom, show } from '@/testing/page'
import { bodies, sent, serve, serveAlso } from '@/testing/server'
import TermsDesk from './TermsDesk'

const term = (id: string, name: string, more: object = {}) => ({
  id,
  name,
  parent: null,
  looksLike: '',
  nextStep: '',
  questions: 2,
  also: [],
  ...more,
})
const figure = (value: number | null, n: number) => ({
  value,
  n,
  low: 0.2,
  high: 0.5,
  formula: 'As counted.',
  note: null,
})
const terms = (skills: object[]) => ({
  skills,
  misconceptions: [term('m1', 'Adds instead of subtracts', { looksLike: 'Range as a sum.' })],
  units: [],
  rungs: [],
})
const tides = term('t', 'Tides', { questions: 0 })
const range = term('r', 'Range of tide', { parent: 't' })
const same = term('s', 'Tidal range')

beforeEach(() =>
  serve({
    'GET /api/bank/terms': terms([range, same, tides]),
    'GET /api/bank/terms/records': {
      records: [
        { id: 'r', figure: figure(0.31, 112) },
        { id: 's', figure: figure(null, 0) },
        { id: 't', figure: figure(0.31, 112) },
        { id: 'm1', figure: figure(0.25, 80) },
      ],
    },
    'GET /api/items': {
      items: [{ id: 'i1', title: 'How far it rises', facility: 0.4, students: 30 }],
      total: 1,
    },
  }),
)
const open = (path = '/bank/terms') => show(<TermsDesk />, path, '/bank/terms')
const names = () => screen.getAllByRole('rowheader').map((cell) => cell.textContent)

describe('The team’s skills', () => {
  it('stand as a tree, each with its record and its questions', async () => {
    open('/bank/terms?open=r')
    await screen.findByText(/112 students earned 31 % of the credit/)
    expect(names()).toEqual(['Tidal range', 'Tides', 'Range of tide'])
    expect(await screen.findByRole('link', { name: 'How far it rises' })).toBeTruthy()
    expect(screen.getByRole('link', { name: '2 questions' }).getAttribute('href')).toBe('/bank?skill=r')
  })

  it('count the questions of those below them, as the bank finds them', async () => {
    open('/bank/terms?open=t')
    const link = await screen.findByRole('link', { name: '2 questions' })
    expect(link.getAttribute('href')).toBe('/bank?skill=t')
    expect(await screen.findByRole('link', { name: 'How far it rises' })).toBeTruthy()
  })

  it('are put below one another, but not below themselves', async () => {
    serveAlso({ 'PUT /api/bank/skills/t': tides })
    const user = open('/bank/terms?open=t')
    await screen.findByRole('heading', { name: 'Tides' })
    await user.keyboard('c')
    const above = await screen.findByRole('combobox', { name: 'Stands below' })
    await user.click(above)
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['nothing: at the top', 'Tidal range'])
    await user.keyboard('{Escape}')
    await pickFrom(user, above, 'Tidal range')
    await user.click(screen.getByRole('button', { name: 'Change it' }))
    await waitFor(() =>
      expect(bodies('PUT', '/api/bank/skills/t')).toEqual([
        { name: 'Tides', looksLike: '', nextStep: '', parent: 's' },
      ]),
    )
  })

  it('that are the same become one after it was said what follows, and are taken apart again', async () => {
    const merged = terms([{ ...range, also: [{ id: 's', name: 'Tidal range' }] }, tides])
    serveAlso({ 'PUT /api/bank/skills/s/part-of': merged, 'DELETE /api/bank/skills/s/part-of': terms([]) })
    const user = open('/bank/terms?open=s')
    await screen.findByRole('heading', { name: 'Tidal range' })
    await pickFrom(user, screen.getByRole('combobox', { name: 'The same as' }), 'Range of tide')
    const asked = await screen.findByRole('alertdialog')
    expect(asked.textContent).toContain('2 questions of the bank will name “Range of tide” instead')
    expect(sent('PUT', '/api/bank/skills/s/part-of')).toEqual([])
    serveAlso({ 'GET /api/bank/terms': merged })
    await user.click(within(asked).getByRole('button', { name: 'Put them together' }))
    expect(await screen.findByRole('heading', { name: 'Stands for these too' })).toBeTruthy()
    expect(bodies('PUT', '/api/bank/skills/s/part-of')).toEqual([{ into: 'r' }])
    await user.click(screen.getByRole('button', { name: 'Take apart' }))
    await waitFor(() => expect(sent('DELETE', '/api/bank/skills/s/part-of')).toHaveLength(1))
  })

  it('are one list, wrong ideas the other', async () => {
    const user = open()
    await screen.findByRole('heading', { name: 'Tidal range' })
    await user.click(screen.getByRole('radio', { name: 'Wrong ideas' }))
    expect(await screen.findByText(/Shown by 25 % of 80 students who could have/)).toBeTruthy()
    expect(screen.getByText('Range as a sum.')).toBeTruthy()
    expect(names()).toEqual(['Adds instead of subtracts'])
  })
})
