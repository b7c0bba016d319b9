import type { Schemas } from '@/lib/api/client'
import { Again, mayBeSentAgain } from '@/lib/drafts/again'
import { keyOf, type DeviceStore, type Kept, type Value, type Working } from './store'

export type Line =
  { kind: 'kept'; at: Date | null } | { kind: 'sending' } | { kind: 'device' } | { kind: 'unsafe' } | { kind: 'closed' }
type Save = Schemas['SittingSaveInput']
export type Transport = (saves: Save[], at: string | null) => Promise<Schemas['SittingAnswersSavedView']>

const SEND_AFTER = 350
const RETRY_MOST = 15_000

/**
 * Keeps a sitting's answers: on the device at once, on the server as soon as it can be reached. Repeats are harmless,
 * an older answer never overwrites a newer one, and the line it reports is what is true.
 */
export class Keeper {
  private kept = new Map<string, Kept>()
  private at: string | null = null
  private atSent: string | null = null
  private readonly again = new Again(() => void this.flush(), RETRY_MOST)
  private running: Promise<void> | null = null
  private unsafe = false
  line: Line = { kind: 'kept', at: null }

  constructor(
    private readonly sittingId: string,
    private readonly store: DeviceStore,
    private readonly send: Transport,
    private readonly onLine: (line: Line) => void,
    private readonly clock: () => number = Date.now,
  ) {}

  /** Brings device and server together: for each answer the higher counter holds. */
  async begin(
    steps: {
      entry: string
      try: number
      value: Value | null
      counter: number
      millis: number
      confidence: number | null
      working?: Working | null
    }[],
  ): Promise<ReadonlyMap<string, Kept>> {
    for (const step of steps) {
      if (step.value === null || step.counter === 0) continue
      const key = keyOf(this.sittingId, step.entry, step.try)
      this.kept.set(key, {
        key,
        sittingId: this.sittingId,
        entry: step.entry,
        try: step.try,
        value: step.value,
        counter: step.counter,
        sent: step.counter,
        millis: step.millis,
        confidence: step.confidence,
        working: step.working ?? null,
      })
    }
    try {
      for (const local of await this.store.of(this.sittingId)) {
        const known = this.kept.get(local.key)
        if (!known || local.counter > known.counter) this.kept.set(local.key, local)
      }
    } catch {
      this.unsafe = true
    }
    if (this.unsent().length > 0) this.again.after(0)
    return this.kept
  }

  /** @param millis how long the question has been in front of the student */
  answer(entry: string, tryNumber: number, value: Value, millis: number): Promise<void> {
    return this.keep(entry, tryNumber, millis, { value })
  }

  /** How sure the student is of the answer that stands, 1 to 3. */
  sure(entry: string, tryNumber: number, confidence: number, millis: number): Promise<void> {
    return this.keep(entry, tryNumber, millis, { confidence })
  }

  /** What is shown beside the answer. */
  shows(entry: string, tryNumber: number, working: Working, millis: number): Promise<void> {
    return this.keep(entry, tryNumber, millis, { working })
  }

  /**
   * The teacher has put another answer in the place of what was sent; whatever the student enters next begins from it. False where they
   * have entered something since: that is newer.
   */
  corrected(entry: string, tryNumber: number, value: Value): boolean {
    const key = keyOf(this.sittingId, entry, tryNumber)
    const before = this.kept.get(key)
    if (before && before.sent !== before.counter) return false
    if (before) this.kept.set(key, { ...before, value })
    return true
  }

  private async keep(
    entry: string,
    tryNumber: number,
    millis: number,
    change: { value: Value } | { confidence: number } | { working: Working },
  ): Promise<void> {
    const key = keyOf(this.sittingId, entry, tryNumber)
    const before = this.kept.get(key)
    const kept: Kept = {
      key,
      sittingId: this.sittingId,
      entry,
      try: tryNumber,
      value: before?.value ?? { text: '' },
      confidence: before?.confidence ?? null,
      working: before?.working ?? null,
      counter: Math.max(this.clock(), (before?.counter ?? 0) + 1),
      sent: before?.sent ?? 0,
      millis: Math.max(millis, before?.millis ?? 0),
      ...change,
    }
    this.kept.set(key, kept)
    this.say({ kind: 'sending' })
    try {
      await this.store.put(kept)
      this.unsafe = false
    } catch {
      // Private windows may refuse storage: then only the server keeps it, and the line says so until it does.
      this.unsafe = true
    }
    this.again.after(SEND_AFTER)
  }

  /** Where the student is now; the Lookout shows it. */
  moveTo(entry: string) {
    if (this.at === entry) return
    this.at = entry
    this.again.after(SEND_AFTER)
  }

  /** Sends what is unsent and waits for it. False when the server could not be reached. */
  async flush(): Promise<boolean> {
    this.again.hold()
    await this.running
    if (this.unsent().length > 0 || this.at !== this.atSent) {
      this.running = this.pass()
      await this.running
      this.running = null
    }
    return this.unsent().length === 0
  }

  stop() {
    this.again.stop()
  }

  private unsent = () => [...this.kept.values()].filter((k) => k.sent < k.counter)

  private async pass(): Promise<void> {
    const batch = this.unsent().slice(0, 50)
    const at = this.at
    try {
      const answer = await this.send(
        batch.map((k) => ({
          entry: k.entry,
          try: k.try,
          value: k.value,
          counter: k.counter,
          clientId: `${k.entry}-${k.try}-${k.counter}`,
          millis: k.millis,
          confidence: k.confidence,
          ...(k.working ? { working: k.working } : {}),
        })),
        at,
      )
      this.again.went()
      this.atSent = at
      for (const fate of answer.kept) {
        const key = keyOf(this.sittingId, fate.entry, fate.try)
        const mine = this.kept.get(key)
        if (mine && mine.sent < fate.counter) mine.sent = fate.counter
        await this.store.confirm(key, fate.counter).catch(() => undefined)
      }
      if (answer.kept.some((fate) => fate.fate === 'closed')) this.say({ kind: 'closed' })
      else if (this.unsent().length === 0) this.say({ kind: 'kept', at: new Date(this.clock()) })
      if (this.unsent().length > 0) this.again.after(0)
    } catch (thrown) {
      this.say(this.unsafe ? { kind: 'unsafe' } : { kind: 'device' })
      if (mayBeSentAgain(thrown)) this.again.later()
    }
  }

  private say(line: Line) {
    this.line = line
    this.onLine(line)
  }
}

/** The quiet line under the title, in words. */
export function wordsOf(line: Line, time: (date: Date) => string): string {
  switch (line.kind) {
    case 'kept':
      return line.at ? `kept ${time(line.at)}` : 'kept'
    case 'sending':
      return 'sending …'
    case 'device':
      return 'kept on this device, not sent yet'
    case 'unsafe':
      return 'not kept yet: leave this page open'
    case 'closed':
      return 'closed; this came too late to count, your teacher can see it'
  }
}
