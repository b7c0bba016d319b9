import Dexie, { type EntityTable } from 'dexie'
import type { Schemas } from '@/lib/api/client'

export type Step = Schemas['SittingStepView']
export type Value = Schemas['Response']

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

class Database extends Dexie {
  answers!: EntityTable<Kept, 'key'>
  constructor(name: string) {
    super(name)
    this.version(1).stores({ answers: 'key, sittingId' })
  }
}

/** Every answer is kept here first: a reload, a lost network or a flat battery loses nothing. */
export function deviceStore(name = 'chalk-ladder'): DeviceStore {
  const db = new Database(name)
  return {
    put: async (kept) => void (await db.answers.put(kept)),
    of: (sittingId) => db.answers.where({ sittingId }).toArray(),
    confirm: async (key, counter) => {
      await db.transaction('rw', db.answers, async () => {
        const kept = await db.answers.get(key)
        if (kept && kept.sent < counter) await db.answers.update(key, { sent: counter })
      })
    },
    unsent: () => db.answers.filter((kept) => kept.sent < kept.counter).toArray(),
    forgetSent: async () => void (await db.answers.filter((kept) => kept.sent >= kept.counter).delete()),
  }
}
