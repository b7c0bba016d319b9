import 'fake-indexeddb/auto'
import { act, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Schemas } from '@/lib/api/client'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import { sitting, step } from '@/testing/sitting'
import Sit from './Sit'
import { deviceStore, keyOf } from './store'

/** Stands in for the live line: a test speaks as the server would. */
class Line {
  static last: Line | null = null
  onopen: (() => void) | null = null
  onmessage: ((event: unknown) => void) | null = null
  shut = false
  constructor(readonly address: string) {
    Line.last = this
  }
  close() {
    this.shut = true
  }
}
let sittings = 0
let id = ''
const saved = ({ body }: { body: unknown }) => ({
  kept: (body as { saves: Schemas['SittingSaveInput'][] }).saves.map((s) => ({
    entry: s.entry ?? '',
    try: s.try ?? 1,
    counter: s.counter ?? 0,
    fate: 'kept',
  })),
  state: 'open',
  at: '',
})
const path = (rest = '') => `/api/me/sittings/${id}${rest}`
const open = () => show(<Sit />, `/my/${id}`, '/my/:id')
const quiet = () => screen.getByRole('banner').querySelector('.text-balance')?.textContent

beforeEach(() => {
  vi.stubGlobal('EventSource', Line)
  id = `s${++sittings}`
})
afterEach(() => vi.unstubAllGlobals())

describe('A sitting', () => {
  it('keeps an answer on the device and sends it, and says so', async () => {
    serve({ [`GET ${path()}`]: sitting({ id }), [`PUT ${path('/responses')}`]: saved })
    const user = open()
    await user.click(await screen.findByText('Green'))
    expect(quiet()).toBe('sending …')
    await waitFor(() => expect(quiet()).toMatch(/^kept \d/))
    expect(bodies('PUT', path('/responses')).at(-1)).toMatchObject({
      saves: [{ entry: 'e1', value: { options: ['b'] } }],
    })
    expect((await deviceStore().of(id)).map((k) => k.value)).toEqual([{ options: ['b'] }])
  })

  it('goes on with what the device knew and the server did not', async () => {
    const key = keyOf(id, 'e1', 1)
    await deviceStore().put({
      key,
      sittingId: id,
      entry: 'e1',
      try: 1,
      value: { options: ['a'] },
      counter: 9,
      sent: 0,
      millis: 0,
      confidence: null,
    })
    const older = step(1, { value: { options: ['b'] }, counter: 5 })
    serve({ [`GET ${path()}`]: sitting({ id, steps: [older] }), [`PUT ${path('/responses')}`]: saved })
    open()
    await waitFor(() => expect((screen.getByRole('radio', { name: /Red/ }) as HTMLInputElement).checked).toBe(true))
    await waitFor(() => expect(bodies('PUT', path('/responses'))).toMatchObject([{ saves: [{ counter: 9 }] }]))
  })

  it('does not go on before the answers have arrived, and says why', async () => {
    let down = true
    const view = sitting({ id, steps: [step(1)], mayGoOn: true })
    serve({
      [`GET ${path()}`]: view,
      [`PUT ${path('/responses')}`]: (s: { body: unknown }) =>
        down ? new Refusal(503, 'The server is busy.') : saved(s),
      [`POST ${path('/go-on')}`]: { ...view, visit: 2, section: 'Further out', steps: [step(2, { visit: 2 })] },
    })
    const user = open()
    await user.click(await screen.findByText('Red'))
    await user.click(screen.getByRole('button', { name: 'Go on' }))
    await user.click(screen.getByRole('button', { name: 'Go on' }))
    expect(await screen.findByText(/Your answers are kept on this device; try again in a moment/)).toBeTruthy()
    expect(quiet()).toBe('kept on this device, not sent yet')
    expect(sent('POST', path('/go-on'))).toEqual([])
    down = false
    await user.click(screen.getByRole('button', { name: 'Go on' }))
    expect(await screen.findByText('Further out')).toBeTruthy()
  })

  it('is closed by the teacher while the student looks on', async () => {
    let closed = false
    serve({
      [`GET ${path()}`]: () => sitting(closed ? { id, state: 'handed in', ended: true } : { id }),
      [`PUT ${path('/responses')}`]: saved,
    })
    open()
    await screen.findByText('Green')
    expect(Line.last?.address).toBe(path('/live'))
    closed = true
    act(() => Line.last?.onmessage?.({ data: '{"n":7,"kind":"closed"}' }))
    expect(await screen.findByRole('heading', { name: 'Handed in' })).toBeTruthy()
  })

  it('is held with the teacher’s words as soon as they are told, and asks for nothing', async () => {
    serve({ [`GET ${path()}`]: sitting({ id, live: 6 }), [`PUT ${path('/responses')}`]: saved })
    open()
    await screen.findByText('Green')
    act(() => Line.last?.onopen?.())
    await waitFor(() => expect(sent('GET', path())).toHaveLength(2))
    act(() => Line.last?.onmessage?.({ data: '{"n":7,"kind":"hold","words":"Look at the board."}' }))
    expect(await screen.findByText('Look at the board.')).toBeTruthy()
    act(() => Line.last?.onmessage?.({ data: '{"n":8,"kind":"release"}' }))
    await waitFor(() => expect(screen.queryByText('Look at the board.')).toBeNull())
    expect(sent('GET', path())).toHaveLength(2)
  })

  it('has what the teacher has corrected, and goes on from it', async () => {
    const asked = step(1, { value: { options: ['a'] }, counter: 5 })
    const sure = asked.face && { ...asked.face, asksConfidence: true }
    let why: string | null = null
    serve({
      [`GET ${path()}`]: () =>
        sitting({
          id,
          steps: [{ ...asked, face: sure, corrected: why, value: { options: [why === null ? 'a' : 'b'] } }],
        }),
      [`PUT ${path('/responses')}`]: saved,
    })
    const user = open()
    await waitFor(() => expect((screen.getByRole('radio', { name: /Red/ }) as HTMLInputElement).checked).toBe(true))
    why = 'You said green.'
    act(() => Line.last?.onmessage?.({ data: '{"n":7,"kind":"look"}' }))
    expect(await screen.findByText(/has corrected this answer: You said green/)).toBeTruthy()
    expect((screen.getByRole('radio', { name: /Green/ }) as HTMLInputElement).checked).toBe(true)
    await user.click(await screen.findByRole('radio', { name: /^sure/i }))
    await waitFor(() =>
      expect(bodies('PUT', path('/responses')).at(-1)).toMatchObject({
        saves: [{ entry: 'e1', value: { options: ['b'] }, confidence: 3 }],
      }),
    )
  })

  it('of somebody else is not found', async () => {
    serve({ [`GET ${path()}`]: new Refusal(404, 'The sitting was not found.') })
    open()
    expect((await screen.findByRole('alert')).textContent).toContain('The sitting was not found.')
  })
})
