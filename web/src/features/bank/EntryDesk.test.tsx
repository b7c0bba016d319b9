import { screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { blankItem } from '@/answers/registry'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import EntryDesk from './EntryDesk'

const made = (line: number, prompt: string) => ({
  line,
  item: { ...blankItem('text'), prompt: `<p>${prompt}</p>` },
  faults: [],
  defects: [],
})
const faulty = (line: number, at: number, message: string) => ({
  line,
  item: null,
  faults: [{ line: at, message }],
  defects: [],
})
let questions: unknown[]
const area = () => screen.getByRole<HTMLTextAreaElement>('textbox')
const open = () => show(<EntryDesk />, '/bank/entry')

beforeEach(() => {
  sessionStorage.clear()
  questions = [made(1, 'What is the falling tide called?')]
  serve({
    'GET /api/bank/terms': { skills: [], misconceptions: [], units: [] },
    'POST /api/items/notes': () => ({ questions }),
    'POST /api/items/notes/keep': { ids: ['i1'] },
  })
})

describe('Typing in questions', () => {
  it('shows beside the text what would be made of it, and keeps it in one act', async () => {
    const user = open()
    await user.type(area(), 'What is it?{Enter}= ebb')
    expect(await screen.findByText('What is the falling tide called?')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Keep 1 question' }))
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/bank'))
    expect(bodies('POST', '/api/items/notes/keep')).toMatchObject([{ text: 'What is it?\n= ebb', table: false }])
    expect(sessionStorage.length).toBe(0)
  })

  it('tells a fault with its line, goes there, and keeps nothing while there is one', async () => {
    questions = [made(1, 'One?'), faulty(4, 5, 'This is no line of a key.')]
    const user = open()
    await user.click(area())
    await user.paste('One?\n= a\n\nTwo?\nperhaps')
    const keep = await screen.findByRole<HTMLButtonElement>('button', { name: 'Keep 2 questions' })
    expect(keep.disabled).toBe(true)
    await user.click(screen.getByRole('button', { name: 'Line 5' }))
    const { selectionStart, selectionEnd, value } = area()
    expect(document.activeElement).toBe(area())
    expect(value.slice(selectionStart, selectionEnd)).toBe('perhaps')
  })

  it('keeps what was typed when it is left, reloaded or refused', async () => {
    serve({
      'GET /api/bank/terms': { skills: [], misconceptions: [], units: [] },
      'POST /api/items/notes': () => ({ questions }),
      'POST /api/items/notes/keep': new Refusal(422, 'Some of this cannot be kept as it is.', '', {
        text: 'Line 1: this skill is gone. Nothing was kept.',
      }),
    })
    const user = open()
    await user.type(area(), 'What?')
    await user.click(await screen.findByRole('button', { name: 'Keep 1 question' }))
    expect(await screen.findByText(/this skill is gone/)).toBeTruthy()
    expect(area().value).toBe('What?')
    expect(sessionStorage.getItem('chalk.unsaved.entry')).toContain('What?')
    await user.click(screen.getByRole('button', { name: 'Keep 1 question' }))
    await user.type(area(), '!')
    await user.click(await screen.findByRole('button', { name: 'Keep 1 question' }))
    await waitFor(() => expect(sent('POST', '/api/items/notes/keep')).toHaveLength(3))
    const asked = bodies('POST', '/api/items/notes/keep').map((b) => (b as { requestId: string }).requestId)
    expect(asked[1]).toBe(asked[0])
    expect(asked[2]).not.toBe(asked[0])
  })

  it('reads a table when told so', async () => {
    const user = open()
    await user.click(screen.getByRole('tab', { name: 'A table' }))
    await user.click(area())
    await user.paste('question,right\nWhat?,ebb')
    await waitFor(() => expect(sent('POST', '/api/items/notes').length).toBeGreaterThan(0))
    expect(bodies('POST', '/api/items/notes').at(-1)).toEqual({ text: 'question,right\nWhat?,ebb', table: true })
  })
})
