// A screen that follows a channel as the browser's does (web/src/lib/live.ts): a snapshot when the stream stands, then its messages by
// their numbers; where one stays missing, or the stream was down, another snapshot.
import http from 'node:http'
import { sleep } from './http.mjs'

const PATIENCE = 200
const AGAIN = 1000
const agent = new http.Agent({ keepAlive: false, maxSockets: Infinity })

export class Stream {
  last = null
  waiting = []
  taking = null
  over = false
  /** how often it had to look anew after the first time, and why */
  looks = { down: 0, missing: 0 }

  /**
   * @param base     where the server is
   * @param path     of the stream
   * @param hear     is given each message in its order, and the moment it arrived
   * @param snapshot looks at everything anew; resolves to the number of the last message that it holds
   */
  constructor(base, path, cookie, hear, snapshot) {
    Object.assign(this, { base, path, cookie, hear, snapshot })
    this.stands = new Promise((resolve) => (this.first = resolve))
    this.open()
  }

  open() {
    const again = () => {
      if (this.over || this.request !== request) return
      this.looks.down++
      setTimeout(() => !this.over && this.open(), AGAIN)
    }
    const request = http.get(`${this.base}/api${this.path}`, { agent, headers: { cookie: this.cookie, accept: 'text/event-stream' } }, (answer) => {
      if (answer.statusCode !== 200) {
        answer.resume()
        return again()
      }
      void this.look().then(this.first)
      let text = ''
      answer.setEncoding('utf8')
      answer.on('data', (part) => {
        const at = performance.now()
        text += part
        const events = text.split('\n\n')
        text = events.pop()
        for (const event of events) {
          const data = /^data: (.*)$/m.exec(event)?.[1]
          if (data) this.message(JSON.parse(data), at)
        }
      })
      answer.on('close', again)
    })
    request.on('error', again)
    this.request = request
  }

  message(message, at) {
    this.waiting.push({ message, at })
    if (!this.taking) this.drain()
  }

  look() {
    const take = async () => {
      for (;;) {
        try {
          return await this.snapshot()
        } catch {
          if (this.over) return this.last ?? 0
          await sleep(AGAIN)
        }
      }
    }
    this.taking ??= take().then((n) => {
      this.taking = null
      this.last = n
      this.drain()
    })
    return this.taking
  }

  drain() {
    this.waiting.sort((a, b) => a.message.n - b.message.n)
    let next = this.last + 1
    for (const { message, at } of this.waiting)
      if (message.n === next) {
        this.last = next++
        this.hear(message, at)
      }
    this.waiting = this.waiting.filter(({ message }) => message.n >= next)
    clearTimeout(this.missing)
    if (this.waiting.length > 0)
      this.missing = setTimeout(() => {
        this.looks.missing++
        void this.look()
      }, PATIENCE)
  }

  close() {
    this.over = true
    clearTimeout(this.missing)
    this.request.destroy()
  }
}
