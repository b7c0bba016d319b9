// A keep-alive client for one origin, and the figures of a list of times.
import http from 'node:http'

export const BASE = process.env.CHALK_URL
const agent = new http.Agent({ keepAlive: true, maxSockets: 256 })

/** One request; resolves to { status, ms, body }. `by` is what the path begins with where it goes another way than usual. */
export function ask(method, path, cookie, body, by = '') {
  const sent = performance.now()
  const data = body === undefined ? undefined : JSON.stringify(body)
  return new Promise((resolve, reject) => {
    const request = http.request(
      `${BASE}${by}/api${path}`,
      {
        method,
        agent,
        headers: {
          cookie,
          'x-chalk-ladder': '1',
          ...(data === undefined ? {} : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(data) }),
        },
      },
      (answer) => {
        const chunks = []
        answer.on('data', (chunk) => chunks.push(chunk))
        answer.on('end', () =>
          resolve({ status: answer.statusCode, ms: performance.now() - sent, body: Buffer.concat(chunks).toString() }),
        )
      },
    )
    request.on('error', reject)
    request.end(data)
  })
}

/** A PHP file of ops/bench through the same web server and pool, which bin/bench lets it have. */
export const measured = (name) => () =>
  new Promise((resolve, reject) => {
    const request = http.request(`${BASE}/${name}`, { agent }, (answer) => {
      answer.resume()
      answer.on('end', () => resolve({ status: answer.statusCode }))
    })
    request.on('error', reject)
    request.end()
  })

/** Saves the `n`th answer of a student of the crowd. */
export const saveOf = (crowd, by = '') => {
  let counter = Date.now()
  return (student, n) => {
    const entry = crowd.entries[n % crowd.entries.length]
    const value = { options: [student.options[entry][(n * 7 + 1) % 4]] }
    const one = { entry, try: 1, value, counter: ++counter, clientId: `bench-${counter}` }
    return ask('PUT', `/me/sittings/${student.sitting}/responses`, student.cookie, { saves: [one], at: entry }, by)
  }
}

export function quantile(times, share) {
  const sorted = [...times].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)] ?? NaN
}
export const median = (times) => quantile(times, 0.5)
export const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** Requests per second of `lanes` clients that each ask again as soon as they are answered, for a bounded time. */
export async function throughput(lanes, seconds, one) {
  const until = performance.now() + 1000 * seconds
  let done = 0
  const began = performance.now()
  await Promise.all(
    Array.from({ length: lanes }, async (_, lane) => {
      for (let n = 0; performance.now() < until; n++) {
        const { status } = await one(lane, n)
        if (status >= 300) throw new Error(`HTTP ${status}`)
        done++
      }
    }),
  )
  return done / ((performance.now() - began) / 1000)
}
