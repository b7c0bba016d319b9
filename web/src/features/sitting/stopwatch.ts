/** Counts how long each question has been in front of the student: only while it is shown and the page can be seen. */
export class Stopwatch {
  private readonly spent = new Map<string, number>()
  private here: string | null = null
  private since: number | null = null

  /** @param clock milliseconds that never run backwards */
  constructor(private readonly clock: () => number = () => performance.now()) {}

  /** What was counted before, on this device or another: the longer holds. */
  begin(key: string, millis: number) {
    this.spent.set(key, Math.max(millis, this.spent.get(key) ?? 0))
  }

  /** The question now in front of the student; null for none. */
  show(key: string | null) {
    if (key === this.here) return
    const running = this.since !== null || this.here === null
    this.pause()
    this.here = key
    if (running) this.resume()
  }

  pause() {
    if (this.here !== null && this.since !== null) this.spent.set(this.here, this.of(this.here))
    this.since = null
  }

  resume() {
    if (this.here !== null) this.since ??= this.clock()
  }

  /** Whole milliseconds so far, at most a day. */
  of(key: string): number {
    const running = key === this.here && this.since !== null ? this.clock() - this.since : 0
    return Math.min(86_400_000, Math.round((this.spent.get(key) ?? 0) + running))
  }
}
