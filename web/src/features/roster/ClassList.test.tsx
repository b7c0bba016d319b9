import { screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import ClassList from './ClassList'
import { Slips } from './Slips'

const classes = [
  { id: 'c1', name: '8 Heron', code: 'BGJSL', students: 27, teachers: 'Maren', mine: true },
  { id: 'c2', name: '8 Curlew', code: 'PLGXK', students: 0, teachers: '', mine: false },
]
const open = () => show(<ClassList />, '/classes', '/classes')
const base = {
  'GET /api/classes': { classes },
  'GET /api/handouts': { handouts: [] },
  'GET /api/classes/c1': { id: 'c1', name: '8 Heron', code: 'BGJSL', students: [{ id: 's1', name: 'Ada' }] },
}
beforeEach(() => serve(base))

describe('The list of classes', () => {
  it('names each with its code and size', async () => {
    open()
    const rows = (await screen.findAllByRole('row')).slice(1)
    expect(
      rows.map((r) =>
        within(r)
          .getAllByRole('cell')
          .map((c) => c.textContent),
      ),
    ).toEqual([
      ['BGJSL', '27', 'Maren', '–', 'nothing yet'],
      ['PLGXK', '0', 'everybody’s', '–', 'nothing yet'],
    ])
    expect(screen.getByText('2 classes')).toBeTruthy()
    expect(await screen.findByText('Ada')).toBeTruthy()
    expect(screen.getByRole('link', { name: '8 Heron' }).getAttribute('href')).toBe('/classes/c1')
  })

  it('makes a class by keys alone, and opens it', async () => {
    serve({
      ...base,
      'POST /api/classes': { id: 'c9', name: '8 Kestrel', code: '', students: [] },
    })
    const user = open()
    await screen.findByText('2 classes')
    await user.keyboard('n')
    await screen.findByRole('dialog', { name: 'New class' })
    await user.keyboard('8 Kestrel{Enter}{Enter}')
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/classes/c9'))
    expect(bodies('POST', '/api/classes')).toEqual([{ name: '8 Kestrel' }])
  })

  it('says at the field that a name is taken, and keeps it', async () => {
    const taken = 'There is already a class called "8 Heron".'
    serve({ ...base, 'POST /api/classes': new Refusal(422, 'Not yet.', '', { name: taken }) })
    const user = open()
    await screen.findByText('2 classes')
    await user.click(screen.getByRole('button', { name: /New class/ }))
    await user.type(await screen.findByLabelText('Name'), '8 Heron')
    await user.click(screen.getByRole('button', { name: 'Make the class' }))
    expect(await screen.findByText(taken, { exact: false })).toBeTruthy()
    const field = screen.getByLabelText('Name') as HTMLInputElement
    expect([field.value, field.getAttribute('aria-invalid')]).toEqual(['8 Heron', 'true'])
  })

  it('tells a team without classes the next act', async () => {
    serve({ 'GET /api/classes': { classes: [] } })
    open()
    expect(await screen.findByText(/Name a class, then paste its list of names/)).toBeTruthy()
    expect(screen.queryByRole('table')).toBeNull()
  })
})

describe('Slips', () => {
  const slips = {
    class: '8 Heron',
    code: 'BGJSL',
    slips: [
      { name: 'Ada Okafor', pin: '004711', pictures: [] },
      { name: 'Benoît Larsen', pin: '153809', pictures: [] },
    ],
  }

  it('carry all that a student needs to join, each its own PIN', async () => {
    show(<Slips slips={slips} onClose={() => undefined} />)
    const [ada, benoit] = screen.getAllByRole('listitem')
    expect(ada?.textContent).toContain('Ada Okafor')
    expect(ada?.textContent).toContain(`${location.host}/join`)
    expect(ada?.textContent).toContain('Class code BGJSL')
    expect(ada?.textContent).toContain('PIN 004711')
    expect(benoit?.textContent).toContain('PIN 153809')
    expect(benoit?.textContent).not.toContain('004711')
    await waitFor(() =>
      expect(
        screen.getAllByRole('img', { name: 'QR code of the join page' }).map((i) => i.querySelector('svg') !== null),
      ).toEqual([true, true]),
    )
  })

  it('are printed, and left again', async () => {
    const print = vi.spyOn(window, 'print').mockImplementation(() => undefined)
    const leave = vi.fn()
    const user = show(<Slips slips={slips} onClose={leave} />)
    await user.click(screen.getByRole('button', { name: 'Print' }))
    expect(print).toHaveBeenCalledTimes(1)
    await user.click(screen.getByRole('button', { name: 'Back to the class' }))
    expect(leave).toHaveBeenCalledTimes(1)
    print.mockRestore()
  })
})
