import { act, render, screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Channel, useLive } from './live'

/** A stream whose ups and downs the test decides. */
class Stream {
  static readonly OPEN = 1
  static readonly CLOSED = 2
  static made: Stream[] = []
  readyState = 0
  onopen = () => undefined as unknown
  onmessage: (event: { data: string }) => unknown = () => undefined
  onerror = () => undefined as unknown
  constructor(readonly url: string) {
    Stream.made.push(this)
  }
  close() {
    this.readyState = Stream.CLOSED
  }
  up() {
    this.readyState = Stream.OPEN
    return act(() => this.onopen())
  }
  down(state: number) {
    this.readyState = state
    return act(() => this.onerror())
  }
}

const CONNECTING = 0
const refresh = vi.fn(() => Promise.resolve(40))
const heard = vi.fn()
function Picture({ url }: { url: string | null }) {
  return <p>{useLive(url, heard, refresh)}</p>
}
const pause = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms))
const latest = () => Stream.made.at(-1) as Stream
const plainSource = globalThis.EventSource

beforeEach(() => {
  vi.useFakeTimers()
  Stream.made = []
  globalThis.EventSource = Stream as never
  refresh.mockReset().mockResolvedValue(40)
  heard.mockReset()
})
afterEach(() => {
  vi.useRealTimers()
  globalThis.EventSource = plainSource
})

describe('A live picture', () => {
  it('takes a snapshot once the stream stands, and then hears messages alone', async () => {
    render(<Picture url="/live/h1" />)
    expect(latest().url).toBe('/live/h1')
    expect(refresh).not.toHaveBeenCalled()
    await latest().up()
    expect(screen.getByText('live')).toBeTruthy()
    expect(refresh).toHaveBeenCalledTimes(1)
    act(() => void latest().onmessage({ data: '{"n":41,"student":"s1","step":2}' }))
    expect(heard).toHaveBeenCalledWith({ n: 41, student: 's1', step: 2 })
    await pause(20_000)
    expect(refresh).toHaveBeenCalledTimes(1)
  })

  it('is asked for every two seconds while there is no stream', async () => {
    render(<Picture url="/live/h1" />)
    await pause(1999)
    expect(refresh).not.toHaveBeenCalled()
    await pause(1)
    expect(refresh).toHaveBeenCalledTimes(1)
    await pause(4000)
    expect(refresh).toHaveBeenCalledTimes(3)
    expect(screen.getByText('asking')).toBeTruthy()
  })

  it('goes over to asking when the stream breaks, and back with a fresh snapshot', async () => {
    render(<Picture url="/live/h1" />)
    await latest().up()
    await latest().down(CONNECTING)
    await pause(2000)
    expect(refresh).toHaveBeenCalledTimes(2)
    expect(screen.getByText('asking')).toBeTruthy()
    await latest().up()
    expect(refresh).toHaveBeenCalledTimes(3)
    expect(screen.getByText('live')).toBeTruthy()
    await pause(20_000)
    expect(refresh).toHaveBeenCalledTimes(3)
    expect(Stream.made).toHaveLength(1)
  })

  it('opens a new stream when the old one was ended for good', async () => {
    render(<Picture url="/live/h1" />)
    await latest().down(Stream.CLOSED)
    await pause(3999)
    expect(Stream.made).toHaveLength(1)
    await pause(1)
    expect(Stream.made).toHaveLength(2)
    await latest().up()
    expect(screen.getByText('live')).toBeTruthy()
  })

  it('says that it is lost when asking fails too, and tries on', async () => {
    refresh.mockRejectedValue(new Error('no way'))
    render(<Picture url="/live/h1" />)
    await pause(2000)
    expect(screen.getByText('lost')).toBeTruthy()
    refresh.mockResolvedValue(40)
    await pause(2000)
    expect(screen.getByText('asking')).toBeTruthy()
  })

  it('ends with its screen, and moves with its address', async () => {
    const { rerender, unmount } = render(<Picture url="/live/h1" />)
    const first = latest()
    rerender(<Picture url="/live/h2" />)
    expect([first.readyState, latest().url]).toEqual([Stream.CLOSED, '/live/h2'])
    unmount()
    expect(latest().readyState).toBe(Stream.CLOSED)
    await pause(20_000)
    expect([refresh.mock.calls.length, Stream.made.length]).toEqual([0, 2])
  })

  it('asks for nothing where there is nothing to hear', async () => {
    render(<Picture url={null} />)
    await pause(20_000)
    expect([refresh.mock.calls.length, Stream.made.length]).toEqual([0, 0])
  })
})

describe('The messages of a channel', () => {
  type Told = { n: number }
  const pictures: ((n: number) => void)[] = []
  const taken = vi.fn(() => new Promise<number>((done) => pictures.push(done)))
  const told: number[] = []
  const make = () => {
    pictures.length = told.length = 0
    taken.mockClear()
    return new Channel<Told>(({ n }) => told.push(n), taken)
  }
  const settle = async (n: number) => {
    pictures.shift()?.(n)
    await Promise.resolve()
    await Promise.resolve()
  }

  it('are heard in their order from where the snapshot ends, each once', async () => {
    const channel = make()
    void channel.look()
    for (const n of [12, 10, 11]) channel.message({ n })
    expect(told).toEqual([])
    await settle(10)
    expect(told).toEqual([11, 12])
    channel.message({ n: 12 })
    channel.message({ n: 13 })
    expect(told).toEqual([11, 12, 13])
    expect(taken).toHaveBeenCalledTimes(1)
  })

  it('lead to another snapshot where one is missing, and those that it does not hold are heard', async () => {
    const channel = make()
    void channel.look()
    await settle(5)
    channel.message({ n: 8 })
    channel.message({ n: 9 })
    await pause(200)
    expect([told, taken.mock.calls.length]).toEqual([[], 2])
    await settle(8)
    expect(told).toEqual([9])
  })

  it('that overtake each other are heard in their order, without another look', async () => {
    const channel = make()
    void channel.look()
    await settle(5)
    channel.message({ n: 7 })
    expect(told).toEqual([])
    channel.message({ n: 6 })
    await pause(1000)
    expect([told, taken.mock.calls.length]).toEqual([[6, 7], 1])
  })

  it('do not put off the look for one that stays missing by coming on', async () => {
    const channel = make()
    void channel.look()
    await settle(5)
    for (const n of [7, 8, 9, 10]) {
      channel.message({ n })
      await pause(60)
    }
    expect(taken).toHaveBeenCalledTimes(2)
  })

  it('look only once however many ask, and look again after a failure', async () => {
    const channel = make()
    const first = channel.look()
    expect(channel.look()).toBe(first)
    taken.mockImplementationOnce(() => Promise.reject(new Error('no way')))
    await settle(1)
    await expect(channel.look()).rejects.toThrow('no way')
    void channel.look()
    await settle(7)
    channel.message({ n: 8 })
    expect(told).toEqual([8])
  })
})
