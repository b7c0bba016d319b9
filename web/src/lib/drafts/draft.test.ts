import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Problem } from '../api/client'
import { sessionEnded, sessionResumed } from '../session'
import { Draft, type Newer, type Stored } from './draft'

type Doc = { title: string; note: string }

const first: Doc = { title: 'Tides', note: '' }
const send = vi.fn<(value: Doc, version: number) => Promise<Stored<Doc>>>()
const newest = vi.fn<() => Promise<Newer<Doc>>>()
const heard = vi.fn()
const make = (byItself = true, stored: Stored<Doc> = { value: first, version: 1 }) =>
  new Draft<Doc>({ place: 'doc', stored, send, newest, byItself, onMerged: heard })
const kept = (version: number) => (value: Doc) => Promise.resolve({ value, version })
const pause = (ms: number) => vi.advanceTimersByTimeAsync(ms)
let end = (): void => undefined

beforeEach(() => {
  vi.useFakeTimers()
  send.mockReset().mockImplementation(kept(2))
  newest.mockReset()
  heard.mockReset()
})
afterEach(() => {
  end()
  vi.useRealTimers()
})
const opened = (draft = make()) => {
  end = draft.begin()
  return draft
}

describe('A draft', () => {
  it('is sent by itself a moment after the last change, once, with the version it was made from', async () => {
    const draft = opened()
    draft.change({ ...first, title: 'T' })
    await pause(500)
    draft.change({ ...first, title: 'Currents' })
    expect(draft.line.kind).toBe('unsaved')
    await pause(699)
    expect(send).not.toHaveBeenCalled()
    await pause(1)
    expect(send.mock.calls).toEqual([[{ ...first, title: 'Currents' }, 1]])
    expect([draft.line.kind, draft.version, draft.unsent()]).toEqual(['saved', 2, false])
  })

  it('sends what was changed meanwhile after it, from the new version', async () => {
    const draft = opened()
    draft.change({ ...first, title: 'A' })
    send.mockImplementationOnce((value) => {
      draft.change({ ...first, title: 'B' })
      return kept(2)(value)
    })
    send.mockImplementationOnce(kept(3))
    await draft.flush()
    expect(send.mock.calls.map(([value, version]) => [value.title, version])).toEqual([
      ['A', 1],
      ['B', 2],
    ])
  })

  it('is on the device until the server has it, and comes back with what it was made from', async () => {
    send.mockRejectedValue(new Problem(0, 'The server cannot be reached.', ''))
    const left = opened()
    left.change({ ...first, title: 'Currents' })
    await left.flush()
    end()
    send.mockReset().mockImplementation(kept(2))
    const again = opened(make())
    expect([again.back, again.value.title, again.version]).toEqual([true, 'Currents', 1])
    await pause(700)
    expect(send).toHaveBeenCalledTimes(1)
    end()
    expect(make().back).toBe(false)
  })

  it('is sent again with growing pauses, and at once when the network or the session is back', async () => {
    send.mockRejectedValue(new Problem(503, 'Back in a minute.', ''))
    const draft = opened()
    draft.change({ ...first, title: 'Currents' })
    await pause(700)
    for (const wait of [1000, 2000, 4000]) {
      const before = send.mock.calls.length
      await pause(wait - 1)
      expect(send.mock.calls.length).toBe(before)
      await pause(1)
      expect(send.mock.calls.length).toBe(before + 1)
    }
    const before = send.mock.calls.length
    dispatchEvent(new Event('online'))
    await pause(0)
    expect(send.mock.calls.length).toBe(before + 1)
    sessionEnded()
    sessionResumed()
    await pause(0)
    expect(send.mock.calls.length).toBe(before + 2)
  })

  it('that is refused waits for its writer', async () => {
    send.mockRejectedValue(new Problem(422, 'Not like this.', ''))
    const draft = opened()
    draft.change({ ...first, title: '' })
    await pause(60_000)
    expect([send.mock.calls.length, draft.line.kind]).toEqual([1, 'failed'])
  })

  it('that is sent when told only is not sent by itself', async () => {
    const draft = opened(make(false))
    draft.change({ ...first, title: 'Currents' })
    await pause(60_000)
    expect(send).not.toHaveBeenCalled()
    expect(await draft.flush()).toBe(true)
  })
})

describe('A draft that somebody else changed meanwhile', () => {
  const refusedOnce = () => send.mockRejectedValueOnce(new Problem(409, 'Suvi has changed it.', ''))

  it('takes in what they changed elsewhere, and is sent over theirs', async () => {
    refusedOnce().mockImplementation(kept(6))
    newest.mockResolvedValue({ value: { title: 'Tides', note: 'by Suvi' }, version: 5 })
    const draft = opened()
    draft.change({ ...first, title: 'Currents' })
    expect(await draft.flush()).toBe(true)
    expect(send.mock.calls.at(-1)).toEqual([{ title: 'Currents', note: 'by Suvi' }, 5])
    expect(heard).toHaveBeenCalledTimes(1)
  })

  it('is caught up with where nothing is unsent, and told what stood there before', async () => {
    const draft = opened()
    newest.mockResolvedValue({ value: { ...first, title: 'Currents' }, version: 3 })
    expect(await draft.catchUp(1)).toBeNull()
    expect(newest).not.toHaveBeenCalled()
    expect(await draft.catchUp(3)).toEqual({ from: first, to: { ...first, title: 'Currents' } })
    expect([draft.value.title, draft.version, draft.line.kind, draft.unsent()]).toEqual(['Currents', 3, 'saved', false])
    await pause(2000)
    expect(send).not.toHaveBeenCalled()
  })

  it('is not caught up with over what is typed, nor over what is typed while it comes', async () => {
    const draft = opened()
    draft.change({ ...first, note: 'mine' })
    expect(await draft.catchUp(3)).toBeNull()
    await pause(700)
    expect(draft.version).toBe(2)
    newest.mockImplementationOnce(async () => {
      draft.change({ ...first, note: 'mine, too' })
      return { value: first, version: 3 }
    })
    expect(await draft.catchUp(3)).toBeNull()
    expect([draft.value.note, draft.version]).toEqual(['mine, too', 2])
  })

  it('waits where both changed the same, keeps what is typed on, and goes on from what is picked', async () => {
    refusedOnce().mockImplementation(kept(6))
    newest.mockResolvedValue({ value: { title: 'Ebb', note: '' }, version: 5 })
    const draft = opened()
    draft.change({ ...first, title: 'Currents' })
    expect(await draft.flush()).toBe(false)
    expect(draft.line).toMatchObject({
      kind: 'apart',
      problem: { message: 'Suvi has changed it.' },
      clashes: [{ mine: 'Currents' }],
    })
    draft.change({ ...draft.value, note: 'mine too' })
    await pause(60_000)
    expect(send).toHaveBeenCalledTimes(1)
    draft.settle({ title: 'theirs' })
    await pause(0)
    expect(send.mock.calls.at(-1)).toEqual([{ title: 'Ebb', note: 'mine too' }, 5])
    expect(draft.line.kind).toBe('saved')
  })

  it('does not go round for ever where the server refuses what it has itself', async () => {
    send.mockRejectedValue(new Problem(409, 'No.', ''))
    newest.mockResolvedValue({ value: first, version: 1 })
    const draft = opened()
    draft.change({ ...first, title: 'Currents' })
    expect(await draft.flush()).toBe(false)
    expect([send.mock.calls.length, draft.line.kind]).toEqual([1, 'failed'])
  })
})
