// Ten lessons at once (see bin/bench room): every student saves every 5 s and follows their work, every lesson has a Lookout and a wall
// open, a teacher holds and releases all of one lesson every 4 s. In the middle SHAKE is run, which reloads the web server and restarts PHP.
// node room.mjs ROOM.json MINUTES SHAKE; CHALK_URLS names the nodes, so that there may be several.
import { execFile } from 'node:child_process'
import { readFileSync } from 'node:fs'
import http from 'node:http'
import { median, quantile, sleep } from './http.mjs'
import { Stream } from './stream.mjs'

const [, , file, minutes, shake] = process.argv
const { lessons, entries } = JSON.parse(readFileSync(file, 'utf8'))
const NODES = process.env.CHALK_URLS.split(' ')
const agent = new http.Agent({ keepAlive: true, maxSockets: 400 })
const until = performance.now() + 60_000 * Number(minutes)
const middle = performance.now() + 30_000 * Number(minutes)
let turn = 0
const nodeFor = () => NODES[turn++ % NODES.length]

function ask(base, method, path, cookie, body) {
  const data = body === undefined ? undefined : JSON.stringify(body)
  const sent = performance.now()
  return new Promise((resolve, reject) => {
    const headers = { cookie, 'x-chalk-ladder': '1', ...(data === undefined ? {} : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(data) }) }
    const request = http.request(`${base}/api${path}`, { method, agent, headers }, (answer) => {
      const parts = []
      answer.on('data', (part) => parts.push(part))
      answer.on('end', () => resolve({ status: answer.statusCode, ms: performance.now() - sent, body: Buffer.concat(parts).toString() }))
    })
    // A socket that was kept and that the server has closed meanwhile is opened anew, as browsers do.
    request.on('error', (error) =>
      request.reusedSocket && error.code === 'ECONNRESET' ? ask(base, method, path, cookie, body).then(resolve, reject) : reject(error),
    )
    request.end(data)
  })
}
async function must(...given) {
  const { status, body } = await ask(...given)
  if (status !== 200 && status !== 204) throw new Error(`${given[1]} ${given[2]}: HTTP ${status}`)
  return body === '' ? null : JSON.parse(body)
}

/** milliseconds, each with the moment it was measured */
const saves = []
const shown = []
const holds = []
const walls = []
const put = (list, ms) => list.push({ ms, at: performance.now() })
/** the moment of the fault, and how long after it is told apart */
let fault = Infinity
const APART = 30_000
/** Ticks of the processors so far. */
function ticks() {
  const all = readFileSync('/proc/stat', 'utf8').split('\n')[0].trim().split(/\s+/).slice(1).map(Number)
  return { all: all.reduce((a, b) => a + b, 0), idle: all[3], stolen: all[7] ?? 0 }
}
const share = (to, from, what) => `${Math.round((100 * (to[what] - from[what])) / (to.all - from.all))} %`
const failed = { saves: 0, acts: 0 }

/** A student's device: saves, tries again until it is kept, and follows the channel. */
class Student {
  counter = Date.now()
  kept = new Map()
  /** saves that are not yet seen in the Lookout: when each was sent */
  sent = []

  constructor(lesson, given) {
    Object.assign(this, given, { lesson, base: nodeFor(), held: null })
    const hear = (message, at) => {
      if (message.kind === 'hold') this.isHeld(message.words, at)
      else if (message.kind === 'release') this.isHeld(null, at)
      else void this.stream.look()
    }
    this.stream = new Stream(this.base, `/me/sittings/${this.sitting}/live`, this.cookie, hear, async () => {
      const view = await must(this.base, 'GET', `/me/sittings/${this.sitting}`, this.cookie)
      this.isHeld(view.hold, performance.now())
      return view.live
    })
  }

  isHeld(words, at) {
    if (words !== null && this.held !== words && this.lesson.hold?.words === words) put(holds, at - this.lesson.hold.at)
    this.held = words
  }

  async work(offset) {
    await sleep(offset)
    for (let n = 0; performance.now() < until; n++) {
      const began = performance.now()
      const entry = entries[(n + Math.floor(offset)) % entries.length]
      const counter = ++this.counter
      const value = { options: [this.options[entry][n % 4]] }
      this.sent.push(began)
      for (;;) {
        try {
          const { status, ms } = await ask(this.base, 'PUT', `/me/sittings/${this.sitting}/responses`, this.cookie, { saves: [{ entry, try: 1, value, counter, clientId: `room-${counter}` }], at: entry })
          if (status !== 200) throw new Error(`HTTP ${status}`)
          put(saves, ms)
          this.kept.set(entry, counter)
          break
        } catch {
          failed.saves++
          await sleep(500)
        }
      }
      await sleep(Math.max(0, 5000 - (performance.now() - began)))
    }
  }
}

class Lesson {
  rows = new Map()
  hold = null

  constructor(given) {
    Object.assign(this, { staff: given.staff, handout: given.handout, base: nodeFor() })
    this.students = given.students.map((student) => new Student(this, student))
    const by = new Map(this.students.map((s) => [s.student, s]))
    const take = (row) => {
      const before = this.rows.get(row.studentId)
      if (!before || before.revision <= row.revision) this.rows.set(row.studentId, row)
    }
    const snapshot = async () => {
      const view = await must(this.base, 'GET', `/handouts/${this.handout}/lookout`, this.staff)
      for (const row of view.rows) this.rows.set(row.studentId, row)
      return view.live
    }
    this.lookout = new Stream(this.base, `/handouts/${this.handout}/live`, this.staff, (message, at) => {
      if (message.kind !== 'row') return void this.lookout.look()
      take(message.row)
      const student = by.get(message.row.studentId)
      for (const sent of student?.sent.splice(0) ?? []) put(shown, at - sent)
    }, snapshot)
    const wall = async () => {
      const { status, ms, body } = await ask(this.base, 'GET', `/handouts/${this.handout}/wall`, this.staff)
      if (status !== 200) throw new Error(`HTTP ${status}`)
      put(walls, ms)
      return JSON.parse(body).live
    }
    // As the wall does: what students enter is drawn together, once a second.
    let timer = null
    this.wall = new Stream(this.base, `/handouts/${this.handout}/live`, this.staff, () => {
      timer ??= setTimeout(() => {
        timer = null
        void wall().catch(() => undefined)
      }, 1000)
    }, wall)
  }

  async act(path, body) {
    for (;;) {
      try {
        return await must(this.base, 'POST', `/handouts/${this.handout}/${path}`, this.staff, body)
      } catch {
        failed.acts++
        await sleep(500)
      }
    }
  }

  /** Whether the Lookout shows what is true, and every answer that was kept is there. */
  async proof() {
    const truth = await must(this.base, 'GET', `/handouts/${this.handout}/lookout`, this.staff)
    const wrong = truth.rows.filter((row) => JSON.stringify(row) !== JSON.stringify(this.rows.get(row.studentId))).length
    let lost = 0
    for (const student of this.students) {
      const view = await must(student.base, 'GET', `/me/sittings/${student.sitting}`, student.cookie)
      for (const [entry, counter] of student.kept) if (view.steps.find((s) => s.entry === entry)?.counter !== counter) lost++
    }
    return { wrong, lost }
  }

  close() {
    for (const stream of [this.lookout, this.wall, ...this.students.map((s) => s.stream)]) stream.close()
  }
}

const all = []
for (const given of lessons) all.push(new Lesson(given))
await Promise.all(all.flatMap((l) => [l.lookout.stands, l.wall.stands, ...l.students.map((s) => s.stream.stands)]))

const acts = async () => {
  for (let n = 0; performance.now() < until - 2000; n++) {
    const lesson = all[n % all.length]
    const words = `Look up, ${n}.`
    lesson.hold = { words, at: performance.now() }
    await lesson.act('hold', { words })
    await sleep(2000)
    lesson.hold = null
    await lesson.act('release', {})
    await sleep(2000)
  }
}
const disturb = async () => {
  if (!shake) return
  await sleep(middle - performance.now())
  fault = performance.now()
  await new Promise((resolve) => execFile(shake, (error, out, err) => (error ? console.error(`shaking failed: ${err}`) : undefined, resolve())))
}
const students = all.flatMap((l) => l.students)
const before = ticks()
await Promise.all([acts(), disturb(), ...students.map((s, i) => s.work((5000 * i) / students.length))])
// What is on its way arrives.
await sleep(3000)
const proofs = await Promise.all(all.map((l) => l.proof()))
const looks = all.flatMap((l) => [l.lookout, l.wall, ...l.students.map((s) => s.stream)]).reduce((sum, s) => ({ down: sum.down + s.looks.down, missing: sum.missing + s.looks.missing }), { down: 0, missing: 0 })
const unseen = students.reduce((sum, s) => sum + s.sent.length, 0)
all.forEach((l) => l.close())

const after = ticks()
const sum = (key) => proofs.reduce((total, proof) => total + proof[key], 0)
const line = (what, value, aim, met) => console.log(`| ${what} | ${value} | ${aim} | ${met === null ? '' : met ? 'met' : '**missed**'} |`)
const ms = (times) => `${median(times).toFixed(0)} ms · 95 %: ${quantile(times, 0.95).toFixed(0)} ms`
const timed = (what, list, most) => {
  const times = list.map((one) => one.ms)
  const calm = list.filter((one) => one.at < fault || one.at > fault + APART).map((one) => one.ms)
  line(`${what} (${times.length})`, ms(times), most ? `95 % ≤ ${most} ms` : '', most ? quantile(times, 0.95) <= most : null)
  if (shake) line('… without the half minute after the fault', ms(calm), '', null)
}
console.log('| what | measured | aim | |\n| --- | --- | --- | --- |')
timed('saving an answer', saves, 50)
timed('from a student’s send to the Lookout', shown, 300)
timed('from the teacher’s hold to a student’s screen', holds, 300)
timed('drawing a wall anew', walls, 0)
line('answers that were acknowledged and are not there', String(sum('lost')), '0', sum('lost') === 0)
line('rows of a Lookout that are not as they are', String(sum('wrong')), '0', sum('wrong') === 0)
line('saves and acts that had to be tried again', `${failed.saves} and ${failed.acts}`, '', null)
line('streams that were down, messages that were looked for anew', `${looks.down} and ${looks.missing}`, '', null)
line('of the processors’ time: idle, taken away by the host', `${share(after, before, 'idle')} and ${share(after, before, 'stolen')}`, '', null)
if (unseen > 0) console.log(`\n${unseen} answers were seen by a look anew, not by a message; they stand in no time above.`)
process.exit(0)
