import { Problem, problemOf } from '../api/client'
import { onResume } from '../session'

const FIRST = 1000
const MOST = 30_000

/** Whether sending the same once more may go better: the server was not reached, was busy, or nobody was signed in. */
export const mayBeSentAgain = (thrown: unknown) => {
  const { status } = thrown instanceof Problem ? thrown : problemOf(thrown)
  return status === 0 || status === 401 || status === 429 || status >= 500
}

/** Tries again with growing pauses, and at once when the network or the session is back. */
export class Again {
  private timer: ReturnType<typeof setTimeout> | undefined
  private pause = FIRST
  private readonly leave: () => void
  private over = false

  constructor(
    private readonly go: () => void,
    private readonly most = MOST,
  ) {
    const now = () => this.after(0)
    const ended = onResume(now)
    addEventListener('online', now)
    this.leave = () => {
      ended()
      removeEventListener('online', now)
    }
  }

  /** So much later, and not before; the last word counts. */
  after(millis: number) {
    clearTimeout(this.timer)
    if (!this.over) this.timer = setTimeout(this.go, millis)
  }

  /** It did not go: after a pause, longer each time. */
  later() {
    this.after(this.pause)
    this.pause = Math.min(this.pause * 2, this.most)
  }

  /** It went: pauses are short again. */
  went() {
    this.pause = FIRST
  }

  hold() {
    clearTimeout(this.timer)
  }

  stop() {
    this.over = true
    this.hold()
    this.leave()
  }
}
