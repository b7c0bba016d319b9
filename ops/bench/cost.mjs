// What a request costs beside a bare PHP file, beside the least that a worker which stays takes, beside the framework that begins anew
// for each request, and beside itself where it does so; and a save beside an update of one row by pgbench. All of it in turn, in one
// run (bin/bench cost). Printed alone, with the processor time that an empty request and a save take of whom.
// node cost.mjs CROWD.json; PGBENCH is the command that runs eight clients for three seconds, RUN and DATA the folders with the numbers of
// the processes.
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { ask, measured, median, saveOf, throughput } from './http.mjs'
import { groups } from './processes.mjs'

const LANES = 8
const SECONDS = 3
const ROUNDS = 12
const crowd = JSON.parse(readFileSync(process.argv[2], 'utf8'))
const save = saveOf(crowd)
// By PHP-FPM, as staff are answered.
const ANEW = '/anew'
const saveAnew = saveOf(crowd, ANEW)
const who = (lane, n) => crowd.students[(lane + 16 * n) % crowd.students.length]
const kinds = {
  bare: () => throughput(LANES, SECONDS, measured('bare')),
  stay: () => throughput(LANES, SECONDS, measured('stay')),
  floor: () => throughput(LANES, SECONDS, measured('floor')),
  empty: () => throughput(LANES, SECONDS, (lane, n) => ask('GET', '/me', who(lane, n).cookie)),
  save: () => throughput(LANES, SECONDS, (lane, n) => save(who(lane, n), n)),
  emptyAnew: () => throughput(LANES, SECONDS, (lane, n) => ask('GET', '/me', who(lane, n).cookie, undefined, ANEW)),
  saveAnew: () => throughput(LANES, SECONDS, (lane, n) => saveAnew(who(lane, n), n)),
  row: async () =>
    Number(/tps = ([\d.]+)/.exec(execFileSync('sh', ['-c', process.env.PGBENCH], { encoding: 'utf8' }))?.[1] ?? NaN),
}
const { RUN, DATA } = process.env
const used = groups({ nginx: `${RUN}/nginx.pid`, PHP: `${RUN}/resident.pid`, PostgreSQL: `${DATA}/postmaster.pid` })
/** Milliseconds of the processors for one request, by group, in each round. */
const times = { empty: [], save: [] }
for (const one of Object.values(kinds)) await one()
const rates = Object.fromEntries(Object.keys(kinds).map((kind) => [kind, []]))
for (let round = 0; round < ROUNDS; round++) {
  for (const [kind, one] of Object.entries(kinds)) {
    const before = used()
    const rate = await one()
    const after = used()
    rates[kind].push(rate)
    times[kind]?.push(Object.fromEntries(Object.keys(after).map((group) => [group, (after[group] - before[group]) / (rate * SECONDS)])))
  }
}
const a = (kind) => `${median(rates[kind]).toFixed(0)} a second`
const say = (what, part, whole, aim) => {
  const ratio = median(rates[part].map((rate, i) => rate / rates[whole][i]))
  const judged = aim === null ? 'none set | –' : `≥ ${aim} | ${ratio >= aim ? 'met' : '**missed**'}`
  console.log(`| ${what} | ${ratio.toFixed(3)} (${a(part)} of ${a(whole)}) | ${judged} |`)
}
console.log('| what | measured | aim | |\n| --- | --- | --- | --- |')
say('an authenticated empty request, as a share of a bare PHP file', 'empty', 'bare', 0.35)
say('the same, as a share of a worker that stays and answers two characters', 'empty', 'stay', 0.35)
say('the framework alone, begun anew for each request, with one route, as a share of a bare PHP file', 'floor', 'bare', null)
say('an authenticated empty request, beside the same begun anew', 'empty', 'emptyAnew', null)
say('saving an answer, beside the same begun anew', 'save', 'saveAnew', null)
say('saving an answer, as a share of an authenticated empty request', 'save', 'empty', 0.65)
say('saving an answer, as a share of a durable update of one row by pgbench', 'save', 'row', 0.15)

const GROUPS = ['client', 'nginx', 'PHP', 'PostgreSQL']
console.log(`\n| ms of the processors | ${GROUPS.join(' | ')} | together |\n| --- |${' --- |'.repeat(GROUPS.length + 1)}`)
for (const [kind, rounds] of Object.entries(times)) {
  const parts = GROUPS.map((group) => median(rounds.map((round) => round[group])))
  console.log(`| ${kind} | ${[...parts, parts.reduce((a, b) => a + b)].map((ms) => ms.toFixed(2)).join(' | ')} |`)
}
// Were PHP to take no time, the rest would still have to be done by as many processors.
const withoutPhp = median(times.save.map(({ client, nginx, PostgreSQL }) => client + nginx + PostgreSQL))
const most = (1000 * availableParallelism()) / withoutPhp
console.log(`\nSaves a second if PHP took no time at all: ${most.toFixed(0)}, or ${(most / median(rates.row)).toFixed(3)} of pgbench.`)
