// Measures a prepared instance (see bin/bench) and prints one JSON object a line: { name, value, aim, met, how }.
// node run.mjs CROWD.json [saving|live|results|remarking|bundles …]
import { readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import { ask, BASE, median, quantile, saveOf, sleep, throughput } from './http.mjs'

const crowd = JSON.parse(readFileSync(process.argv[2], 'utf8'))
const say = (name, value, aim, met, how) => console.log(JSON.stringify({ name, value, aim, met, how }))
const options = { executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] }

const save = saveOf(crowd)
const who = (lane, n) => crowd.students[(lane + 16 * n) % crowd.students.length]

async function saving() {
  const rates = { save: [], empty: [] }
  const empty = (lane, n) => ask('GET', '/me', who(lane, n).cookie)
  await throughput(8, 2, (lane, n) => save(who(lane, n), n))
  for (let round = 0; round < 12; round++) {
    rates.empty.push(await throughput(8, 3, empty))
    rates.save.push(await throughput(8, 3, (lane, n) => save(who(lane, n), n)))
  }
  const ratio = median(rates.save.map((rate, i) => rate / rates.empty[i]))
  say('saving an answer, as a share of an authenticated empty request', `${ratio.toFixed(3)} (${median(rates.save).toFixed(0)} of ${median(rates.empty).toFixed(0)} a second)`, '≥ 0.60', ratio >= 0.6, '8 clients asking without pause, 12 rounds of 3 s each, taken in turn; median of the ratios')
}

/** 200 students, each saving every 5 s, while a teacher's browser shows the Lookout. */
async function live() {
  const browser = await chromium.launch(options)
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const [name, value] = crowd.staff.split('=')
  await context.addCookies([{ name, value, domain: '127.0.0.1', path: '/api' }])
  const page = await context.newPage()
  const seen = []
  await page.exposeFunction('benchSeen', (student, at) => seen.push({ student, at }))
  await page.addInitScript(() => {
    const Real = window.EventSource
    window.EventSource = class extends Real {
      constructor(...given) {
        super(...given)
        this.addEventListener('message', (event) => {
          const { row } = JSON.parse(event.data)
          // The second frame after the message has painted what React made of it.
          if (row) requestAnimationFrame(() => requestAnimationFrame(() => window.benchSeen(row.studentId, performance.timeOrigin + performance.now())))
        })
      }
    }
  })
  await page.goto(`${BASE}/lookout/${crowd.atWork}`)
  await page.getByText('live', { exact: true }).waitFor()
  const times = []
  const sent = new Map()
  const seconds = 25
  await Promise.all(
    crowd.students.map(async (student, i) => {
      await sleep((5000 * i) / crowd.students.length)
      for (let n = 0; n < seconds / 5; n++) {
        const began = Date.now()
        sent.set(student.student, [...(sent.get(student.student) ?? []), performance.timeOrigin + performance.now()])
        const { status, ms } = await save(student, n + i)
        if (status !== 200) throw new Error(`HTTP ${status}`)
        times.push(ms)
        await sleep(Math.max(0, 5000 - (Date.now() - began)))
      }
    }),
  )
  await sleep(1000)
  const delays = [...sent].flatMap(([student, moments]) =>
    moments.map((moment, i) => {
      const hit = seen.find((s) => s.student === student && s.at >= moment && s.at < (moments[i + 1] ?? Infinity))
      return hit ? hit.at - moment : Infinity
    }),
  )
  await browser.close()
  const p95 = quantile(times, 0.95)
  say('saving an answer with 200 students saving every 5 s, p95', `${p95.toFixed(0)} ms (median ${median(times).toFixed(0)})`, '≤ 50 ms', p95 <= 50, `${times.length} saves, 40 a second; a browser watches the Lookout on the same machine`)
  const shown = quantile(delays, 0.95)
  say('answer sent to answer shown on the Lookout, p95', Number.isFinite(shown) ? `${shown.toFixed(0)} ms (median ${median(delays).toFixed(0)})` : 'some were not shown', '≤ 500 ms', shown <= 500, 'from the client’s send to the second painted frame in headless Chromium, 200 rows')
}

async function results() {
  const times = []
  for (let n = 0; n < 25; n++) {
    const { status, ms } = await ask('GET', `/handouts/${crowd.handedIn}/results`, crowd.staff)
    if (status !== 200) throw new Error(`HTTP ${status}`)
    if (n >= 5) times.push(ms)
  }
  say('results of 200 students × 30 questions, server time', `${median(times).toFixed(0)} ms (p95 ${quantile(times, 0.95).toFixed(0)})`, '≤ 150 ms', median(times) <= 150, 'whole request on loopback, median of 20')
}

async function remarking() {
  const times = []
  for (let n = 0; n < 5; n++) {
    const { status, ms, body } = await ask('POST', `/handouts/${crowd.often}/keys/e1`, crowd.staff, { rule: crowd.rule, reason: 'bench' })
    if (status !== 200) throw new Error(`HTTP ${status} ${body.slice(0, 300)}`)
    times.push(ms)
    await ask('POST', `/key-changes/${JSON.parse(body).changeId}/undo`, crowd.staff)
  }
  say(`re-marking ${crowd.responses} responses after a key change`, `${(median(times) / 1000).toFixed(2)} s`, '≤ 1.5 s', median(times) <= 1500, 'whole request, stored and logged; median of 5, each undone again')
}

async function bundles() {
  const browser = await chromium.launch(options)
  const weigh = async (cookie, url, wait) => {
    const context = await browser.newContext()
    if (cookie) {
      const [name, value] = cookie.split('=')
      await context.addCookies([{ name, value, domain: '127.0.0.1', path: '/api' }])
    }
    const page = await context.newPage()
    const bodies = []
    page.on('response', (response) => /\.js(\?|$)/.test(response.url()) && bodies.push(response.body()))
    await page.goto(BASE + url)
    await wait(page)
    await page.waitForLoadState('networkidle')
    const bytes = (await Promise.all(bodies)).reduce((sum, body) => sum + gzipSync(body).length, 0)
    await context.close()
    return bytes / 1024
  }
  const student = crowd.students[0]
  const first = await weigh(student.cookie, `/my/${student.sitting}`, (page) => page.getByText(/Question .* of the crowd/).waitFor())
  say('JavaScript of a student’s first page (a question on screen), gzipped', `${first.toFixed(0)} KB`, '≤ 170 KB', first <= 170, 'all scripts that headless Chromium fetches')
  const teacher = await weigh(crowd.staff, '/bank', (page) => page.getByRole('row').nth(1).waitFor())
  say('JavaScript of a teacher’s first page (the bank), gzipped', `${teacher.toFixed(0)} KB`, '≤ 300 KB', teacher <= 300, 'all scripts that headless Chromium fetches')
  await browser.close()
}

/** Ticks of the processors: all, and those that the machine's host gave to others. */
function ticks() {
  const all = readFileSync('/proc/stat', 'utf8').split('\n')[0].trim().split(/\s+/).slice(1).map(Number)
  return { all: all.reduce((a, b) => a + b, 0), stolen: all[7] ?? 0 }
}

const before = ticks()
const parts = { saving, live, results, remarking, bundles }
for (const name of process.argv.length > 3 ? process.argv.slice(3) : Object.keys(parts)) await parts[name]()
const after = ticks()
console.log(JSON.stringify({ stolen: (after.stolen - before.stolen) / (after.all - before.all) }))
process.exit(0)
