import { Problem, problemOf, take, type Schemas } from '@/lib/api/client'
import { Again, mayBeSentAgain } from '@/lib/drafts/again'
import type { FileAbout } from './place'

type View = Schemas['MediaUploadView']

export type SendingState =
  | { kind: 'sending' | 'paused' | 'later'; share: number }
  | { kind: 'sent'; file: FileAbout }
  | { kind: 'refused'; why: string }

const HEADERS = { 'X-Chalk-Ladder': '1' }
/** Bytes; small enough that a slow network shows progress, and loses little. */
const PIECE = 256 * 1024

async function ask(method: string, path: string, body?: BodyInit, type?: string): Promise<View> {
  const go = async () => {
    const response = await fetch(path, {
      method,
      body,
      headers: type ? { ...HEADERS, 'Content-Type': type } : HEADERS,
    })
    const json: unknown = await response.json().catch(() => undefined)
    return response.ok ? { data: json as View, response } : { error: json, response }
  }
  return take<View>(go())
}

/**
 * One file on its way, piece by piece. A lost network or session costs a piece: it goes on by itself when they are back,
 * where it stopped. It can be paused and given up.
 */
export class Sending {
  state: SendingState = { kind: 'sending', share: 0 }
  private readonly again = new Again(() => void this.go())
  private busy = false
  private received = 0

  constructor(
    private readonly uploads: string,
    private readonly file: { blob: Blob; name: string; kinds: string[] },
    private upload: string | null,
    private readonly tell: () => void,
    /** Told the server's name for it, which it is to be found by after a reload. */
    private readonly named: (upload: string) => void = () => undefined,
  ) {
    this.again.after(0)
  }

  pause() {
    if (this.state.kind === 'sending' || this.state.kind === 'later') this.become({ kind: 'paused', share: this.share })
  }

  goOn() {
    if (this.state.kind !== 'paused' && this.state.kind !== 'later') return
    this.become({ kind: 'sending', share: this.share })
    this.again.after(0)
  }

  stop() {
    this.again.stop()
  }

  giveUp() {
    this.stop()
    if (this.upload && this.state.kind !== 'sent')
      void fetch(`${this.uploads}/${this.upload}`, { method: 'DELETE', headers: HEADERS }).catch(() => undefined)
  }

  private get share() {
    return this.file.blob.size === 0 ? 0 : this.received / this.file.blob.size
  }

  private become(state: SendingState) {
    this.state = state
    this.tell()
  }

  private async go() {
    if (this.busy || (this.state.kind !== 'sending' && this.state.kind !== 'later')) return
    this.busy = true
    try {
      while (this.state.kind === 'sending' || this.state.kind === 'later') {
        const view = await this.step()
        this.received = view.received
        this.again.went()
        if (view.file) {
          this.again.stop()
          this.become({ kind: 'sent', file: view.file })
        } else if ((this.state as SendingState).kind !== 'paused') this.become({ kind: 'sending', share: this.share })
      }
    } catch (thrown) {
      this.failed(problemOf(thrown))
    } finally {
      this.busy = false
    }
  }

  private async step(): Promise<View> {
    const { blob, name, kinds } = this.file
    if (this.upload === null) {
      const body = JSON.stringify({ name, size: blob.size, kinds })
      const begun = await ask('POST', this.uploads, body, 'application/json')
      this.upload = begun.id
      this.named(begun.id)
      return begun
    }
    if (this.received === 0) {
      // After a reload only the server knows how much has arrived.
      const known = await ask('GET', `${this.uploads}/${this.upload}`)
      if (known.received > 0 || known.file) return known
    }
    const piece = blob.slice(this.received, this.received + PIECE)
    try {
      return await ask(
        'PUT',
        `${this.uploads}/${this.upload}?at=${this.received}`,
        await piece.arrayBuffer(),
        'application/octet-stream',
      )
    } catch (thrown) {
      if (thrown instanceof Problem && thrown.status === 409) return ask('GET', `${this.uploads}/${this.upload}`)
      throw thrown
    }
  }

  private failed(problem: Problem) {
    if (mayBeSentAgain(problem)) {
      if (this.state.kind !== 'paused') this.become({ kind: 'later', share: this.share })
      this.again.later()
      return
    }
    this.again.stop()
    // The upload was forgotten by the server, after a day or with the work: it begins anew when it is chosen again.
    this.become({
      kind: 'refused',
      why: problem.status === 404 ? 'It waited too long. Choose it again.' : problem.detail || problem.message,
    })
  }
}
