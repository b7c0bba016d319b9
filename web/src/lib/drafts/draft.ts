import { Problem, problemOf } from '../api/client'
import { Again, mayBeSentAgain } from './again'
import { dropUnsaved, keepUnsaved, unsaved } from './device'
import { merged, type Clash, type Side } from './merge'

export type Stored<T> = { value: T; version: number }
/** Somebody else's newer one. */
export type Newer<T> = Stored<T>

/** What can be said of a draft. Apart: somebody else has changed the same meanwhile, and the two do not fit. */
export type DraftLine<T> =
  | { kind: 'saved'; at: Date | null }
  | { kind: 'unsaved' }
  | { kind: 'saving' }
  | { kind: 'failed'; problem: Problem }
  | { kind: 'apart'; problem: Problem; newer: Newer<T>; clashes: Clash[] }

type Kept<T> = { value: T; base: T; version: number }

const SAVE_AFTER = 700

/** Lays a draft on the device for a desk that is opened next. */
export function keepDraft<T>(place: string, base: T, value: T) {
  const kept: Kept<T> = { value, base, version: 0 }
  keepUnsaved(place, kept)
}

/**
 * A document being written: on the device at once, on the server by itself (or when told, where `byItself` is off), with growing
 * pauses while that does not go. What somebody else saved meanwhile is merged; where both changed the same, it waits for a choice.
 */
export class Draft<T> {
  value: T
  version: number
  line: DraftLine<T>
  /** What had not reached the server when the desk was left is here again. */
  readonly back: boolean
  private base: T
  private under: Promise<boolean> | null = null
  private again: Again | null = null
  private readonly watching = new Set<() => void>()

  constructor(
    private readonly of: {
      place: string
      stored: Stored<T>
      send: (value: T, version: number) => Promise<Stored<T>>
      newest: (() => Promise<Newer<T>>) | null
      byItself: boolean
      /** whether what is on the device belongs here */
      fits?: (value: T) => boolean
      /** somebody else's changes are in as well now */
      onMerged?: (value: T, newer: Newer<T>) => void
    },
  ) {
    const { stored, place } = of
    const kept = unsaved<Kept<T>>(place)
    this.back =
      kept !== null &&
      'base' in kept &&
      (of.fits?.(kept.value) ?? true) &&
      JSON.stringify(kept.value) !== JSON.stringify(stored.value)
    this.value = this.back && kept ? kept.value : stored.value
    this.base = this.back && kept ? kept.base : stored.value
    // Made from an older one, it must not go over what was saved since: the server refuses it, and the two are brought together.
    this.version = this.back && kept ? kept.version : stored.version
    this.line = this.back ? { kind: 'unsaved' } : { kind: 'saved', at: null }
  }

  /** For as long as the desk is open: what came back is sent by itself, and so is what does not go at first. */
  begin() {
    const again = new Again(() => void (this.of.byItself || this.line.kind === 'failed' ? this.flush() : undefined))
    this.again = again
    if (this.of.byItself && this.unsent()) again.after(SAVE_AFTER)
    return () => {
      if (this.of.byItself) void this.flush()
      again.stop()
    }
  }

  readonly watch = (tell: () => void) => {
    this.watching.add(tell)
    return () => void this.watching.delete(tell)
  }

  unsent = () => this.value !== this.base

  change(next: T) {
    if (next === this.value) return
    this.value = next
    if (!this.unsent()) dropUnsaved(this.of.place)
    else this.keep()
    if (this.line.kind !== 'apart') this.say(this.unsent() ? { kind: 'unsaved' } : { kind: 'saved', at: null })
    if (this.of.byItself && this.line.kind !== 'apart') this.again?.after(SAVE_AFTER)
  }

  /** Sends what is unsent and waits for it. False when it is not on the server. A new document is sent even as it began. */
  flush(always = false): Promise<boolean> {
    this.again?.hold()
    if (this.line.kind === 'apart') return Promise.resolve(false)
    this.under ??= this.pass(always).finally(() => (this.under = null))
    return this.under
  }

  /** Takes the sides that were picked, by place, into one's own, and goes on from theirs. */
  settle(picks: Readonly<Record<string, Side>>) {
    if (this.line.kind !== 'apart') return
    const { newer } = this.line
    this.join(newer, merged(this.base, this.value, newer.value, picks).value)
    if (this.of.byItself) void this.flush()
  }

  /**
   * Takes what somebody else has saved, where nothing of one's own is on its way; what is unsent meets it when it is sent.
   *
   * @returns what stood here, and what stands here now; null where nothing was taken
   */
  async catchUp(version: number): Promise<{ from: T; to: T } | null> {
    const behind = () => version > this.version && !this.unsent() && this.line.kind === 'saved'
    if (!behind() || !this.of.newest) return null
    const newer = await this.of.newest()
    if (!behind()) return null
    const from = this.value
    this.value = this.base = newer.value
    this.version = newer.version
    this.say({ kind: 'saved', at: null })
    return { from, to: newer.value }
  }

  /** What the server has now, whatever stood here. */
  restart(stored: Stored<T>) {
    this.again?.hold()
    dropUnsaved(this.of.place)
    this.value = this.base = stored.value
    this.version = stored.version
    this.say({ kind: 'saved', at: null })
  }

  private async pass(always: boolean): Promise<boolean> {
    while (this.unsent() || always) {
      always = false
      const sending = this.value
      this.say({ kind: 'saving' })
      try {
        const stored = await this.of.send(sending, this.version)
        this.version = stored.version
        this.base = sending
        this.again?.went()
        if (this.unsent()) this.keep()
        else dropUnsaved(this.of.place)
        this.say({ kind: 'saved', at: new Date() })
      } catch (thrown) {
        if (!(await this.recovered(problemOf(thrown)))) return false
      }
    }
    return true
  }

  /** Whether the next try may go at once. */
  private async recovered(problem: Problem): Promise<boolean> {
    if (problem.status === 409 && this.of.newest) {
      try {
        const newer = await this.of.newest()
        if (newer.version === this.version) return this.failed(problem)
        const { value, clashes } = merged(this.base, this.value, newer.value)
        if (clashes.length > 0) {
          this.say({ kind: 'apart', problem, newer, clashes })
          return false
        }
        this.join(newer, value)
        return true
      } catch (thrown) {
        return this.failed(problemOf(thrown))
      }
    }
    return this.failed(problem)
  }

  private failed(problem: Problem): false {
    this.say({ kind: 'failed', problem })
    if (mayBeSentAgain(problem)) this.again?.later()
    return false
  }

  private join(newer: Newer<T>, value: T) {
    this.base = newer.value
    this.version = newer.version
    this.value = value
    this.keep()
    this.say({ kind: 'unsaved' })
    this.of.onMerged?.(value, newer)
  }

  private keep() {
    const kept: Kept<T> = { value: this.value, base: this.base, version: this.version }
    keepUnsaved(this.of.place, kept)
  }

  private say(line: DraftLine<T>) {
    this.line = line
    for (const tell of this.watching) tell()
  }
}
