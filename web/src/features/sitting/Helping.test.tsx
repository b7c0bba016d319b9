import { screen, waitFor } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import { sitting, step } from '@/testing/sitting'
import { Helping } from './Helping'

type Help = Schemas['SittingOwnHelpView']

const line = (byHelper: boolean, words: string, held: string | null = null) => ({
  id: words,
  byHelper,
  words,
  saidAt: '2026-11-27T10:05:00Z',
  held,
  let: false,
})
const help = (change: Partial<Help> = {}): Help => ({
  id: 'p1',
  isHelper: true,
  state: 'on',
  you: 'Jetty',
  other: 'Galley',
  number: 3,
  face: step(1).face,
  lines: [],
  ...change,
})
const at = '/api/me/sittings/s1/help'
const open = (change: Partial<Help> = {}, onSeen = vi.fn()) =>
  show(<Helping view={sitting()} help={help(change)} onSeen={onSeen} />, '/', '/')

describe('Help between students', () => {
  it('shows a helper nothing before they say yes, and lets them say no', async () => {
    serve({ [`PUT ${at}`]: sitting(), [`DELETE ${at}`]: sitting() })
    const seen = vi.fn()
    const user = open({ state: 'asked', face: null }, seen)
    expect(screen.queryByText(/Galley/)).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Not now' }))
    expect(sent('DELETE', at)).toHaveLength(1)
    await user.click(screen.getByRole('button', { name: 'Yes, show me' }))
    await waitFor(() => expect(sent('PUT', at)).toHaveLength(1))
    expect(seen).toHaveBeenCalledTimes(2)
  })

  it('shows the question with nothing to answer it by, and what was said', async () => {
    const user = open({ lines: [line(false, 'From high or low?'), line(true, 'I am Ada', 'a name')] })
    expect(screen.getByText('1 new')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Read and write' }))
    expect(screen.queryByText('1 new')).toBeNull()
    for (const radio of await screen.findAllByRole('radio'))
      expect((radio as HTMLInputElement).matches(':disabled')).toBe(true)
    expect(screen.getAllByRole('listitem').map((li) => li.textContent)).toEqual([
      'GalleyFrom high or low?',
      expect.stringMatching(/^YouI am AdaThere may be a name in this\. Your teacher reads it first/),
    ])
  })

  it('keeps what could not be sent, and sends it as the same line again', async () => {
    let down = true
    serve({
      [`POST ${at}`]: () => (down ? new Refusal(503, 'The server cannot be reached.') : sitting()),
    })
    const user = open()
    await user.click(screen.getByRole('button', { name: 'Read and write' }))
    await user.type(screen.getByLabelText('Say'), 'What did you try?{Enter}')
    await screen.findByText(/cannot be reached/)
    expect((screen.getByLabelText('Say') as HTMLInputElement).value).toBe('What did you try?')
    down = false
    await user.click(screen.getByRole('button', { name: 'Say it' }))
    await waitFor(() => expect((screen.getByLabelText('Say') as HTMLInputElement).value).toBe(''))
    const [first, again] = bodies('POST', at) as { id: string }[]
    expect(first?.id).toBe(again?.id)
  })
})
