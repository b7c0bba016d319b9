import { screen, waitFor } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { pickFrom, show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import { OnPaperDialog } from './OnPaperDialog'

const at = '/api/papers/on-paper'
const make = () => screen.getByRole('button', { name: 'Make it and hand it out' })

describe('Questions on paper', () => {
  it('are made from how many there are, what each wants and its marks', async () => {
    serve({ [`POST ${at}`]: { editionId: 'ed7' } })
    const made = vi.fn()
    const user = show(<OnPaperDialog onMade={made} onClose={vi.fn()} />, '/', '/')
    await user.type(screen.getByLabelText('Name'), 'Friday sheet')
    await user.click(screen.getByRole('button', { name: 'More of another kind' }))
    expect(screen.getByText('1 to 10')).toBeTruthy()
    expect(screen.getByText('11 questions, 11 marks')).toBeTruthy()
    const [, second] = screen.getAllByLabelText('Marks each')
    await user.clear(second as HTMLElement)
    await user.type(second as HTMLElement, '2.5')
    await pickFrom(user, screen.getAllByLabelText('Each wants')[1] as HTMLElement, 'a word or two')
    await user.click(make())
    await waitFor(() => expect(made).toHaveBeenCalledWith('ed7'))
    expect(bodies('POST', at)).toEqual([
      {
        title: 'Friday sheet',
        lines: [
          { count: 10, kind: 'choice', options: 4, points: '1' },
          { count: 1, kind: 'text', options: 4, points: '2.5' },
        ],
        requestId: expect.stringMatching(/^[0-9a-f-]{36}$/),
      },
    ])
  })

  it('keep what was typed where they are refused', async () => {
    serve({
      [`POST ${at}`]: new Refusal(422, 'Some of it cannot be used.', 'Give it a name, so that it is found again.'),
    })
    const user = show(<OnPaperDialog onMade={vi.fn()} onClose={vi.fn()} />, '/', '/')
    const count = screen.getByLabelText('Questions')
    await user.tripleClick(count)
    await user.keyboard('7')
    await user.click(make())
    expect(await screen.findByText(/Give it a name/)).toBeTruthy()
    expect((screen.getByLabelText('Questions') as HTMLInputElement).value).toBe('7')
    await user.click(make())
    await waitFor(() => expect(bodies('POST', at)).toHaveLength(2))
    await user.type(screen.getByLabelText('Name'), 'x')
    await user.click(make())
    await waitFor(() => expect(bodies('POST', at)).toHaveLength(3))
    const [first, again, other] = (bodies('POST', at) as { requestId: string }[]).map((body) => body.requestId)
    expect(again).toBe(first)
    expect(other).not.toBe(first)
  })
})
