import 'fake-indexeddb/auto'
import { expect, it } from 'vitest'
import { deviceStore, keyOf, type Kept } from './store'

const answer = (entry: string, counter: number, sent: number): Kept => ({
  key: keyOf('mine', entry, 1),
  sittingId: 'mine',
  entry,
  try: 1,
  value: { text: entry },
  counter,
  sent,
  millis: 900,
  confidence: null,
})

it('a confirmation that comes late takes nothing back', async () => {
  const store = deviceStore('late')
  await store.put(answer('e1', 5, 0))
  await store.confirm(keyOf('mine', 'e1', 1), 5)
  await store.confirm(keyOf('mine', 'e1', 1), 3)
  expect((await store.of('mine'))[0]?.sent).toBe(5)
  expect(await store.unsent()).toEqual([])
  await store.confirm('nothing of this name', 9)
})

it('a device that kept answers before keeps them: the store is opened as it was left', async () => {
  const before = indexedDB.open('chalk-ladder', 10)
  await new Promise<void>((done, fail) => {
    before.onupgradeneeded = () =>
      before.result.createObjectStore('answers', { keyPath: 'key' }).createIndex('sittingId', 'sittingId')
    before.onerror = fail
    before.onsuccess = () => {
      const tx = before.result.transaction('answers', 'readwrite')
      tx.objectStore('answers').put(answer('e1', 2, 0))
      tx.oncomplete = () => done()
    }
  })
  before.result.close()
  expect((await deviceStore().unsent()).map((kept) => kept.entry)).toEqual(['e1'])
})
