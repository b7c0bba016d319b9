import 'fake-indexeddb/auto'
import { describe, expect, it, vi } from 'vitest'
import { Problem, type Schemas } from '@/lib/api/client'
import { Keeper, type Line, type Transport } from './keeper'
import { deviceStore } from './store'

let stores = 0
const kept = (saves: Schemas['SittingSaveInput'][]): Schemas['SittingAnswersSavedView'] => ({
  kept: saves.map((s) => ({ entry: s.entry ?? '', try: s.try ?? 1, counter: s.counter ?? 0, fate: 'kept' })),
  state: 'open',
  at: '',
})
const device = () => deviceStore(`test-${++stores}`)

describe('Keeper', () => {
  it('keeps an answer on the device first and sends it when the server is back', async () => {
    const lines: Line[] = []
    let down = true
    const sent: unknown[] = []
    const send: Transport = async (saves) => {
      if (down) throw new Problem(0, 'down', '')
      sent.push(...saves.map((s) => s.value))
      return kept(saves)
    }
    const store = device()
    const keeper = new Keeper('s', store, send, (l) => lines.push(l))
    await keeper.answer('e1', 1, { text: '3.9 m' }, 4200)
    expect(await keeper.flush()).toBe(false)
    expect(keeper.line.kind).toBe('device')
    expect((await store.of('s'))[0]?.value).toEqual({ text: '3.9 m' })
    down = false
    expect(await keeper.flush()).toBe(true)
    expect(sent).toEqual([{ text: '3.9 m' }])
    expect(keeper.line.kind).toBe('kept')
    keeper.stop()
  })

  it('after a reload goes on with what the device knew and the server did not', async () => {
    const store = device()
    const first = new Keeper(
      's',
      store,
      vi.fn().mockRejectedValue(new Problem(0, 'down', '')),
      () => undefined,
      () => 50,
    )
    await first.answer('e1', 1, { text: 'typed offline' }, 900)
    first.stop()
    const second = new Keeper(
      's',
      store,
      async (saves) => kept(saves),
      () => undefined,
    )
    const values = await second.begin([
      { entry: 'e1', try: 1, value: { text: 'older' }, counter: 20, millis: 0, confidence: null },
    ])
    expect(values.get('s|e1|1')?.value).toEqual({ text: 'typed offline' })
    expect(await second.flush()).toBe(true)
    second.stop()
  })

  it('lets a newer answer of another device stand', async () => {
    const store = device()
    await store.put({
      key: 's|e1|1',
      sittingId: 's',
      entry: 'e1',
      try: 1,
      value: { text: 'here' },
      counter: 10,
      sent: 10,
      millis: 0,
      confidence: null,
    })
    const keeper = new Keeper(
      's',
      store,
      async (saves) => kept(saves),
      () => undefined,
    )
    const values = await keeper.begin([
      { entry: 'e1', try: 1, value: { text: 'elsewhere' }, counter: 99, millis: 0, confidence: null },
    ])
    expect(values.get('s|e1|1')?.value).toEqual({ text: 'elsewhere' })
    keeper.stop()
  })

  it('goes on from what a teacher has corrected, and never loses what was entered since', async () => {
    const sent: unknown[] = []
    const keeper = new Keeper(
      's',
      device(),
      async (saves) => (sent.push(...saves.map((s) => s.value)), kept(saves)),
      () => undefined,
    )
    await keeper.answer('e1', 1, { text: 'sand' }, 0)
    await keeper.flush()
    expect(keeper.corrected('e1', 1, { text: 'rock' })).toBe(true)
    await keeper.sure('e1', 1, 3, 0)
    await keeper.flush()
    expect(sent).toEqual([{ text: 'sand' }, { text: 'rock' }])
    await keeper.answer('e1', 1, { text: 'mud' }, 0)
    expect(keeper.corrected('e1', 1, { text: 'rock' })).toBe(false)
    await keeper.flush()
    expect(sent.at(-1)).toEqual({ text: 'mud' })
    keeper.stop()
  })

  it('counts upwards even when the clock stands still', async () => {
    const counters: number[] = []
    const keeper = new Keeper(
      's',
      device(),
      async (saves) => (counters.push(...saves.map((s) => s.counter ?? 0)), kept(saves)),
      () => undefined,
      () => 7,
    )
    for (const text of ['a', 'b', 'c']) {
      await keeper.answer('e1', 1, { text }, 0)
      await keeper.flush()
    }
    expect(counters).toEqual([7, 8, 9])
    keeper.stop()
  })

  it('sends how long it took and how sure the student is, and keeps both with a change of the answer', async () => {
    const sent: Schemas['SittingSaveInput'][] = []
    const store = device()
    const keeper = new Keeper(
      's',
      store,
      async (saves) => (sent.push(...saves), kept(saves)),
      () => undefined,
    )
    await keeper.begin([{ entry: 'e1', try: 1, value: { text: 'a' }, counter: 3, millis: 7000, confidence: null }])
    await keeper.sure('e1', 1, 3, 9000)
    await keeper.flush()
    await keeper.answer('e1', 1, { text: 'b' }, 8000)
    await keeper.flush()
    expect(sent.map((s) => [s.value, s.millis, s.confidence])).toEqual([
      [{ text: 'a' }, 9000, 3],
      [{ text: 'b' }, 9000, 3],
    ])
    expect((await store.of('s'))[0]).toMatchObject({ value: { text: 'b' }, millis: 9000, confidence: 3 })
    keeper.stop()
  })

  it('keeps and sends the working beside an answer, with it and without', async () => {
    const sent: Schemas['SittingSaveInput'][] = []
    const store = device()
    const keeper = new Keeper(
      's',
      store,
      async (saves) => (sent.push(...saves), kept(saves)),
      () => undefined,
    )
    const working = { strokes: [], files: [], text: 'so 3' }
    await keeper.shows('e1', 1, working, 10)
    await keeper.flush()
    await keeper.answer('e1', 1, { text: '3' }, 20)
    await keeper.flush()
    await keeper.answer('e2', 1, { text: 'a' }, 20)
    await keeper.flush()
    expect(sent.map((s) => [s.value, s.working])).toEqual([
      [{ text: '' }, working],
      [{ text: '3' }, working],
      [{ text: 'a' }, undefined],
    ])
    expect((await store.of('s')).find((k) => k.entry === 'e1')).toMatchObject({ working })
    keeper.stop()
  })

  it('says so when an answer came too late', async () => {
    const keeper = new Keeper(
      's',
      device(),
      async (saves) => ({ ...kept(saves), kept: kept(saves).kept.map((k) => ({ ...k, fate: 'closed' })) }),
      () => undefined,
    )
    await keeper.answer('e1', 1, { text: 'late' }, 0)
    await keeper.flush()
    expect(keeper.line.kind).toBe('closed')
    keeper.stop()
  })
})
