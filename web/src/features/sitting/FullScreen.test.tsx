import { act, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import { FullScreen } from './FullScreen'

let whole: Element | null = null
let seen: DocumentVisibilityState = 'visible'
const asks = vi.fn(() => Promise.resolve())
const turn = (event: string) => act(() => document.dispatchEvent(new Event(event)))
const enter = () => ((whole = document.documentElement), turn('fullscreenchange'))
const leave = () => ((whole = null), turn('fullscreenchange'))
const at = (nth: number) => `/api/me/sittings/s1/left/l${nth}`

beforeEach(() => {
  whole = null
  seen = 'visible'
  let nth = 0
  vi.spyOn(crypto, 'randomUUID').mockImplementation(() => `l${++nth}` as ReturnType<typeof crypto.randomUUID>)
  Object.defineProperty(document, 'fullscreenEnabled', { configurable: true, value: true })
  Object.defineProperty(document, 'fullscreenElement', { configurable: true, get: () => whole })
  Object.defineProperty(document, 'visibilityState', { configurable: true, get: () => seen })
  document.documentElement.requestFullscreen = asks
  document.exitFullscreen = () => Promise.resolve()
})
afterEach(() => {
  vi.restoreAllMocks()
  vi.useRealTimers()
  for (const name of ['fullscreenEnabled', 'fullscreenElement', 'visibilityState'])
    Reflect.deleteProperty(document, name)
})

describe('Work in full screen', () => {
  it('covers the questions until it is entered, and tells nothing of that', async () => {
    serve({})
    const user = show(<FullScreen sitting="s1" />, '/', '/')
    await user.click(screen.getByRole('button', { name: 'Go to full screen' }))
    expect(asks).toHaveBeenCalled()
    enter()
    expect(screen.queryByRole('alertdialog')).toBeNull()
    expect(bodies('PUT', at(1))).toEqual([])
  })

  it('tells each leaving once, with how long, and goes on where the network was gone', async () => {
    let down = true
    const reply = () => (down ? new Refusal(503, 'Gone.') : {})
    serve({ [`PUT ${at(1)}`]: reply, [`PUT ${at(2)}`]: reply })
    vi.useFakeTimers({ shouldAdvanceTime: true })
    show(<FullScreen sitting="s1" />, '/', '/')
    enter()
    leave()
    expect(screen.getByRole('alertdialog').textContent).toContain('You have left the full screen')
    await act(() => vi.advanceTimersByTimeAsync(12_000))
    down = false
    enter()
    await waitFor(() => expect(bodies('PUT', at(1)).at(-1)).toEqual({ seconds: 12 }))
    seen = 'hidden'
    turn('visibilitychange')
    await waitFor(() => expect(bodies('PUT', at(2))).toEqual([{ seconds: 0 }]))
    expect(bodies('PUT', at(1)).filter((body) => (body as { seconds: number }).seconds > 0)).toHaveLength(1)
  })
})
