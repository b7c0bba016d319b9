import { useEffect, useRef, useState } from 'react'
import type { Schemas } from './api/client'

/** What the staff of a handout are told. */
export type ToStaff =
  | { n: number; kind: 'row'; row: Schemas['LookoutRowView'] }
  /** something that concerns many: everything is to be looked at anew */
  | { n: number; kind: 'look' }
  /** of students who help one another, or of answer pads */
  | { n: number; kind: 'helps' }
  | { n: number; kind: 'pads' }
/** What its students are told. A hold and a release of all say all there is to them; the others are reasons to look anew. */
export type ToStudents =
  | { n: number; kind: 'closed' | 'reopened' | 'returned' | 'look' }
  | { n: number; kind: 'hold'; words: string }
  | { n: number; kind: 'release' }
  /** @property to the sittings of the two who help and are helped */
  | { n: number; kind: 'help'; to: string[] }

export type LiveState = 'live' | 'asking' | 'lost'

const ASK_EVERY = 2000
const QUIET_BEFORE_ASKING = 4000
/** Messages of several workers may overtake each other by so much. */
const PATIENCE = 200

/**
 * The messages of one channel in their order. A snapshot says which message is the last that it holds: older ones are dropped, the
 * next ones heard, and where one stays missing another snapshot is taken. What arrives while one is on its way waits for it.
 */
export class Channel<Message extends { n: number }> {
  private last: number | null = null
  private waiting: Message[] = []
  private taking: Promise<void> | null = null
  private missing: ReturnType<typeof setTimeout> | undefined

  constructor(
    private readonly hear: (message: Message) => void,
    /** looks at everything anew and says the number of the last message that it holds */
    private readonly snapshot: () => Promise<number>,
  ) {}

  message(message: Message) {
    this.waiting.push(message)
    if (!this.taking) this.drain()
  }

  /** Looks anew; a second call while one look is under way waits for the same. */
  look(): Promise<void> {
    this.taking ??= this.snapshot().then(
      (n) => {
        this.taking = null
        this.last = n
        this.drain()
      },
      (thrown: unknown) => {
        this.taking = null
        throw thrown
      },
    )
    return this.taking
  }

  stop() {
    clearTimeout(this.missing)
    this.missing = undefined
  }

  private drain() {
    const waiting = this.waiting.sort((a, b) => a.n - b.n)
    const last = this.last
    if (last !== null) {
      let next = last + 1
      for (const message of waiting)
        if (message.n === next) {
          this.last = next++
          this.hear(message)
        }
      this.waiting = waiting.filter((message) => message.n >= next)
    }
    if (this.waiting.length === 0) this.stop()
    else if (last === null) this.lookAnew()
    else this.missing ??= setTimeout(() => this.lookAnew(), PATIENCE)
  }

  private lookAnew() {
    this.stop()
    void this.look().catch(() => undefined)
  }
}

/**
 * Follows a channel: a snapshot when the stream stands, then its messages. While the stream is down a snapshot is taken every two
 * seconds instead, so that the picture stays true.
 */
export function useLive<Message extends { n: number }>(
  url: string | null,
  hear: (message: Message) => void,
  snapshot: () => Promise<number>,
): LiveState {
  const [state, setState] = useState<LiveState>('asking')
  const acts = useRef({ hear, snapshot })
  useEffect(() => {
    acts.current = { hear, snapshot }
  })
  useEffect(() => {
    if (!url) return
    const channel = new Channel<Message>(
      (message) => acts.current.hear(message),
      () => acts.current.snapshot(),
    )
    let over = false
    let timer: ReturnType<typeof setTimeout> | undefined
    const ask = () => {
      timer = setTimeout(() => {
        channel
          .look()
          .then(() => !over && setState('asking'))
          .catch(() => !over && setState('lost'))
          .finally(() => !over && source.readyState !== EventSource.OPEN && ask())
      }, ASK_EVERY)
    }
    let source: EventSource
    const open = () => {
      source = new EventSource(url)
      source.onopen = () => {
        clearTimeout(timer)
        setState('live')
        void channel.look().catch(() => undefined)
      }
      source.onmessage = (event: MessageEvent<string>) => channel.message(JSON.parse(event.data) as Message)
      source.onerror = () => {
        clearTimeout(timer)
        ask()
        if (source.readyState === EventSource.CLOSED && !over) setTimeout(() => !over && open(), QUIET_BEFORE_ASKING)
      }
    }
    open()
    ask()
    return () => {
      over = true
      clearTimeout(timer)
      channel.stop()
      source.close()
    }
  }, [url])
  return state
}
