// Measures the writing desk on an instance with thousands of questions (see bin/bench desk) and prints a table.
// node desk.mjs DESK.json
import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { ask, BASE, median, quantile, sleep } from './http.mjs'

const desk = JSON.parse(readFileSync(process.argv[2], 'utf8'))
const say = (what, value, aim, met) => console.log(`| ${what} | ${value} | ${aim} | ${met ? 'met' : '**missed**'} |`)
const ms = (times) => `${median(times).toFixed(0)} ms · 95 %: ${quantile(times, 0.95).toFixed(0)} ms`
async function asked(method, path, body) {
  const answer = await ask(method, path, desk.staff, body)
  if (answer.status >= 300) throw new Error(`${method} ${path}: ${answer.status} ${answer.body.slice(0, 200)}`)
  return answer
}

async function searches() {
  const { words, skills } = desk
  const kinds = {
    all: () => '',
    'one word': (n) => `?q=${words[n % words.length]}`,
    'two words': (n) => `?q=${words[n % words.length]}%20${words[(n * 7 + 3) % words.length]}`,
    'a word begun': (n) => `?q=${words[n % words.length].slice(0, -1)}`,
    'a slip': (n) => `?q=${words[n % words.length].replace(/[aeiou]/, 'y')}`,
    'a skill and a word': (n) => `?skill=${skills[n % skills.length]}&q=${words[(n * 5) % words.length]}`,
    'a later page': (n) => `?from=${100 * (n % 40)}`,
  }
  const times = []
  for (const [kind, query] of Object.entries(kinds)) {
    await asked('GET', `/items${query(0)}`)
    const own = []
    for (let n = 0; n < 30; n++) own.push((await asked('GET', `/items${query(n)}`)).ms)
    times.push(...own)
    console.log(`| finding: ${kind} | ${ms(own)} | | |`)
  }
  say('finding in the bank, all of these', ms(times), '95 % ≤ 100 ms', quantile(times, 0.95) <= 100)
}

async function papers() {
  const times = []
  for (let n = 0; n < 60; n++) times.push((await asked('GET', `/papers/${desk.papers[n % desk.papers.length]}`)).ms)
  say('opening a paper of forty questions, with its proof', ms(times), '≤ 200 ms', quantile(times, 0.95) <= 200)
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
  const [name, value] = desk.staff.split('=')
  const seen = []
  for (let n = 0; n < 9; n++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    await context.addCookies([{ name, value, domain: '127.0.0.1', path: '/api' }])
    const page = await context.newPage()
    const began = Date.now()
    await page.goto(`${BASE}/papers/${desk.papers[n]}`)
    await page.getByRole('button', { name: 'From the bank' }).waitFor()
    seen.push(Date.now() - began)
    await context.close()
  }
  await browser.close()
  say('the paper’s desk in a browser that has seen nothing of it', ms(seen), '≤ 1 s', median(seen) <= 1000)
}

async function rehearsals() {
  for (const [what, mastery] of [
    ['rehearsing 1 000 students', null],
    ['… with missed questions that come back', { returns: 2, credits: ['1', '1/2'] }],
    ['… by a rule for each skill', { returns: 2, credits: ['1', '1/2'], shown: { kind: 'streak', right: 3 } }],
  ]) {
    const { paper, version } = JSON.parse((await asked('GET', `/papers/${desk.branching}`)).body)
    await asked('PUT', `/papers/${desk.branching}`, { paper: { ...paper, mastery }, version })
    const times = []
    for (let n = 0; n < 5; n++)
      times.push((await asked('POST', `/papers/${desk.branching}/rehearsal`, { students: 1000, seed: `s${n}` })).ms)
    say(what, ms(times), '≤ 2 s', median(times) <= 2000)
  }
}

async function print() {
  const times = []
  for (let n = 0; n < 3; n++) {
    const began = performance.now()
    const { id } = JSON.parse((await asked('POST', `/papers/${desk.papers[n]}/pdf`, {})).body)
    while (JSON.parse((await asked('GET', `/pdfs/${id}`)).body).before > 0) await sleep(50)
    await asked('POST', `/pdfs/${id}/file`)
    times.push(performance.now() - began)
  }
  say('a PDF of forty questions', ms(times), '≤ 4 s', median(times) <= 4000)
}

console.log('| what | measured | aim | |\n| --- | --- | --- | --- |')
await searches()
await papers()
await rehearsals()
await print()
