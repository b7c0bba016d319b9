import { screen, within } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { blankItem } from '@/answers/registry'
import { show } from '@/testing/page'
import { bodies, Refusal, serve, serveAlso } from '@/testing/server'
import { DrawnDialog } from './DrawnDialog'

const candidate = (n: number) => ({
  by: 'a number with its unit, left out',
  place: `line ${n}`,
  from: `Sounded ${n} m.`,
  notes: `Which number? (${n})\n= ${n} m`,
  item: { ...blankItem('number'), title: `Number ${n}` },
})
const kept = vi.fn()
const begin = () =>
  show(
    <DrawnDialog
      html="<p>Sounded 1 m.</p>"
      card={(item) => <p>card of {item.title}</p>}
      onKept={kept}
      onClose={() => {}}
    />,
  )

describe('Questions drawn from a passage', () => {
  it('are kept only where a teacher has ticked or changed them', async () => {
    serve({
      'POST /api/items/drawn': { candidates: [candidate(1), candidate(2), candidate(3)] },
      'POST /api/items/notes': {
        questions: [{ line: 1, item: { ...blankItem('number'), title: 'Mine' }, faults: [], defects: [] }],
      },
      'POST /api/items/notes/keep': { ids: ['i1', 'i2'] },
    })
    const user = begin()
    expect(await screen.findByText('card of Number 1')).toBeTruthy()
    expect(screen.getByRole('button', { name: 'Choose what to keep' }).hasAttribute('disabled')).toBe(true)
    await user.click(screen.getByRole('checkbox', { name: 'Keep question 3' }))
    const first = within(screen.getAllByRole('listitem')[0] as HTMLElement)
    await user.click(first.getByRole('button', { name: 'Change it' }))
    const field = first.getByLabelText('Question 1 as notes')
    await user.clear(field)
    await user.type(field, 'Mine\n= 7 m')
    expect(await first.findByText('card of Mine')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Keep 2 questions in the paper' }))
    expect(kept).toHaveBeenCalledWith(['i1', 'i2'])
    expect(bodies('POST', '/api/items/notes/keep')).toMatchObject([
      { text: 'Mine\n= 7 m\n\nWhich number? (3)\n= 3 m', table: false },
    ])
  })

  it('stay as they are when they cannot be kept, and the same request is sent again', async () => {
    serve({
      'POST /api/items/drawn': { candidates: [candidate(1)] },
      'POST /api/items/notes/keep': new Refusal(503, 'The server rests.', 'Try again.'),
    })
    const user = begin()
    await user.click(await screen.findByRole('checkbox', { name: 'Keep question 1' }))
    await user.click(screen.getByRole('button', { name: 'Keep 1 question in the paper' }))
    expect(await screen.findByText(/The server rests/)).toBeTruthy()
    serveAlso({ 'POST /api/items/notes/keep': { ids: ['i1'] } })
    await user.click(screen.getByRole('button', { name: 'Keep 1 question in the paper' }))
    const asked = bodies('POST', '/api/items/notes/keep') as { requestId: string }[]
    expect(new Set(asked.map((one) => one.requestId)).size).toBe(1)
  })

  it('say what the rules look for where nothing was found', async () => {
    serve({ 'POST /api/items/drawn': { candidates: [] } })
    begin()
    expect(await screen.findByText(/Nothing was found to ask/)).toBeTruthy()
  })
})
