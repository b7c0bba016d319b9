import { openDB, type DBSchema } from 'idb'
import type { Schemas } from '@/lib/api/client'

export type Step = Schemas['SittingStepView']
export type Value = Schemas['Response']
export type Working = Schemas['WorkingResponse']

/** One answer on the device. `sent` is the counter that the server has confirmed. */
export type Kept = {
  key: string
  sittingId: string
  entry: string
  try: number
  value: Value
  counter: number
  sent: number
  /** How long the question had been in front of the student, in milliseconds. */
  millis: number
  /** How sure the student said they are, 1 to 3. */
  confidence: number | null
  /** What is shown beside the answer; devices that have been here before hold none. */
  working?: Working | null
}

export const keyOf = (sittingId: string, entry: string, tryNumber: number) => `${sittingId}|${entry}|${tryNumber}`

export interface DeviceStore {
  put(kept: Kept): Promise<void>
  of(sittingId: string): Promise<Kept[]>
  confirm(key: string, counter: number): Promise<void>
  /** What no server has confirmed yet, of whatever sitting. */
  unsent(): Promise<Kept[]>
  /** Forgets what the server has: on a shared device nobody's answers stay behind without need. */
  forgetSent(): Promise<void>
}

interface Device extends DBSchema {
  answers: { key: string; value: Kept; indexes: { sittingId: string } }
}

// Devices that have been here before hold it at ten: what they keep unsent is still theirs.
const VERSION = 10

/** Every answer is kept here first: a reload, a lost network or a flat battery loses nothing. */
export function deviceStore(name = 'chalk-ladder'): DeviceStore {
  const open = async () =>
    openDB<Device>(name, VERSION, {
      upgrade: (db) => db.createObjectStore('answers', { keyPath: 'key' }).createIndex('sittingId', 'sittingId'),
      // Another tab with an older page is not kept waiting, nor does it keep this one.
      blocking: (_, __, event) => (event.target as IDBDatabase).close(),
    })
  const opening = open()
  // A private window may refuse the store: said by each act that needs it, not by nobody.
  opening.catch(() => undefined)
  const writing = async () => (await opening).transaction('answers', 'readwrite')
  return {
    put: async (kept) => void (await (await opening).put('answers', kept)),
    of: async (sittingId) => (await opening).getAllFromIndex('answers', 'sittingId', sittingId),
    confirm: async (key, counter) => {
      const tx = await writing()
      const kept = await tx.store.get(key)
      if (kept && kept.sent < counter) await tx.store.put({ ...kept, sent: counter })
      await tx.done
    },
    unsent: async () => (await (await opening).getAll('answers')).filter((kept) => kept.sent < kept.counter),
    forgetSent: async () => {
      const tx = await writing()
      for (let at = await tx.store.openCursor(); at; at = await at.continue())
        if (at.value.sent >= at.value.counter) await at.delete()
      await tx.done
    },
  }
}
