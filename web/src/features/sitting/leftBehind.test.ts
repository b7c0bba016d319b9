import 'fake-indexeddb/auto'
import { expect, it } from 'vitest'
import { textOf } from '@/answers/parts/values'
import { Problem, type Schemas } from '@/lib/api/client'
import { sendLeftBehind } from './leftBehind'
import { deviceStore, keyOf, type Kept } from './store'

let stores = 0
const device = () => deviceStore(`left-${++stores}`)
const answer = (sittingId: string, entry: string, sent: number): Kept => ({
  key: keyOf(sittingId, entry, 1),
  sittingId,
  entry,
  try: 1,
  value: { text: `${sittingId} ${entry}` },
  counter: 5,
  sent,
  millis: 900,
  confidence: null,
})
const fates = (saves: Schemas['SittingSaveInput'][], fate: string): Schemas['SittingAnswersSavedView'] => ({
  kept: saves.map((s) => ({ entry: s.entry ?? '', try: s.try ?? 1, counter: s.counter ?? 0, fate })),
  state: 'handed in',
  at: '',
})

it('answers that never reached the server are sent, even when their work is closed by now', async () => {
  const store = device()
  for (const kept of [answer('mine', 'e1', 0), answer('mine', 'e2', 5), answer('older', 'e1', 0)]) await store.put(kept)
  const sent: unknown[] = []
  const left = await sendLeftBehind(store, (sittingId) => async (saves) => {
    sent.push(...saves.map((s) => [sittingId, s.value && textOf(s.value)]))
    return fates(saves, sittingId === 'older' ? 'closed' : 'kept')
  })

  expect(left).toEqual({ sent: 2, still: 0 })
  expect(sent).toEqual([
    ['mine', 'mine e1'],
    ['older', 'older e1'],
  ])
  expect(await sendLeftBehind(store, () => () => Promise.reject(new Error('asked again')))).toEqual({
    sent: 0,
    still: 0,
  })
})

it('what belongs to somebody else, or finds no network, stays on the device', async () => {
  const store = device()
  for (const kept of [answer('theirs', 'e1', 0), answer('offline', 'e1', 0), answer('mine', 'e1', 0)])
    await store.put(kept)
  const left = await sendLeftBehind(store, (sittingId) => async (saves) => {
    if (sittingId === 'theirs') throw new Problem(404, 'The sitting was not found.', '')
    if (sittingId === 'offline') throw new Problem(0, 'The server cannot be reached.', '')
    return fates(saves, 'kept')
  })

  expect(left).toEqual({ sent: 1, still: 2 })
  await store.forgetSent()
  expect(await store.of('mine')).toEqual([])
  expect((await store.of('theirs')).map((kept) => textOf(kept.value))).toEqual(['theirs e1'])
})
