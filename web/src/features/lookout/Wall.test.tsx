import { screen, within } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { Refusal, serve } from '@/testing/server'
import { wall } from './testing'
import Wall from './Wall'

beforeEach(() =>
  vi.stubGlobal(
    'EventSource',
    class {
      close() {}
    },
  ),
)
const open = (reply: unknown) => {
  serve({ 'GET /api/handouts/h1/wall': reply })
  return show(<Wall />, '/wall/h1', '/wall/:id')
}
const option = (
  letter: string,
  text: string,
  now: number,
  first: number | null = null,
  key: boolean | null = null,
) => ({
  letter,
  text,
  now,
  first,
  key,
})

describe('The wall', () => {
  it('says who is here and how to join before a question is chosen', async () => {
    open(wall())
    expect(await screen.findByText('NBZXJ')).toBeTruthy()
    expect(screen.getByText(/of 28 here/).parentElement?.textContent).toBe('26 of 28 here')
  })

  it('shows how a question splits, before and after the talk, and the key only when it is shown', async () => {
    const options = [option('A', '<p>3.9 m</p>', 21, 10), option('B', '<p>3.6 m</p>', 5, 12)]
    open(wall({ entry: 'e2', number: 2, prompt: '<p>How deep is it?</p>', options, answered: 26, answeredFirst: 22 }))
    const row = within(await screen.findByRole('row', { name: /^A/ }))
    expect(row.getByText('21')).toBeTruthy()
    expect(row.getByText(/^10/)).toBeTruthy()
    expect(screen.getByText('first count')).toBeTruthy()
    expect(document.body.textContent).not.toContain('key')
  })

  it('asks to sign in where nobody is', async () => {
    open(new Refusal(401, 'Sign in first.'))
    expect(await screen.findByText(/Sign in first, then open the wall/)).toBeTruthy()
  })
})
