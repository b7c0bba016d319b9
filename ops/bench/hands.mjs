// What a hand meets: key to screen in the editor of every type, and ink under a pen. Reads a running instance with the demo.
// node ops/bench/hands.mjs BASE: prints a table for docs/hands.md
import { chromium } from '@playwright/test'

const BASE = process.argv[2] ?? 'http://127.0.0.1:8420'
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? Number.NaN
const p95 = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length * 0.95)] ?? Number.NaN
const ms = (n) => (Number.isNaN(n) ? '–' : `${n.toFixed(1)} ms`)

const browser = await chromium.launch({ executablePath: process.env.CHALK_CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] })
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: BASE })
const signed = await context.request.post('/api/session', {
  headers: { 'X-Chalk-Ladder': '1' },
  data: { email: 'maren@demo.example', password: 'high-water' },
})
if (!signed.ok()) throw new Error(`not signed in: ${await signed.text()}`)
const page = await context.newPage()

/** From a key's own time to the frame that shows what it did. */
const keysToScreen = () =>
  page.evaluate(() => {
    window.keyed = []
    addEventListener(
      'keydown',
      (event) =>
        requestAnimationFrame(() => {
          const channel = new MessageChannel()
          channel.port1.onmessage = () => window.keyed.push(performance.now() - event.timeStamp)
          channel.port2.postMessage(null)
        }),
      { capture: true },
    )
  })

const { items } = await (await context.request.get('/api/items')).json()
const types = new Map()
for (const type of ['choice', 'text', 'number', 'expression', 'gaps', 'order', 'match', 'spot', 'plot', 'table', 'open', 'working', 'recording', 'upload', 'floor']) {
  const found = await (await context.request.get(`/api/items?type=${type}`)).json()
  if (found.items[0]) types.set(type, found.items[0].id)
}
console.log(`| editor | key to screen, median | p95 |\n| --- | --- | --- |`)
for (const [type, id] of types) {
  await page.goto(`/bank/${id}`)
  const prompt = page.locator('[contenteditable=true][aria-label=Prompt]')
  await prompt.waitFor({ timeout: 15_000 })
  await prompt.click()
  // The desk is at rest: what it fetches after it opens is not what a key costs.
  await page.waitForLoadState('networkidle')
  await keysToScreen()
  await page.keyboard.type('the tide at Kelpwick, and how it turns ', { delay: 45 })
  await page.waitForTimeout(200)
  const keyed = await page.evaluate(() => window.keyed)
  console.log(`| ${type} | ${ms(median(keyed))} | ${ms(p95(keyed))} |`)
}

await page.goto(`/bank/${types.get('working')}`)
await page.getByRole('tab', { name: 'as a student' }).click()
const sheet = page.getByRole('img', { name: /Drawing for as a student/ }).or(page.locator('svg[tabindex]')).first()
await sheet.waitFor()
await sheet.scrollIntoViewIfNeeded()
const box = await sheet.boundingBox()
const others = await page.locator('input, textarea, button, [contenteditable=true]').count()
await page.evaluate(() => {
  window.frames16 = []
  window.inked = []
  window.moves = 0
  window.behind = 0
  let drawn = 0
  new MutationObserver(() => drawn++).observe(document.querySelector('main') ?? document.body, {
    subtree: true,
    attributeFilter: ['d'],
  })
  let before = 0
  const frame = (now) => {
    if (before) window.frames16.push(now - before)
    before = now
    if (window.frames16.length < 2000) requestAnimationFrame(frame)
  }
  requestAnimationFrame(frame)
  addEventListener(
    'pointermove',
    (event) => {
      const had = drawn
      const down = event.buttons === 1
      requestAnimationFrame(() => {
        window.inked.push(performance.now() - event.timeStamp)
        if (!down) return
        const channel = new MessageChannel()
        channel.port1.onmessage = () => {
          window.moves++
          if (drawn === had) window.behind++
        }
        channel.port2.postMessage(null)
      })
    },
    { capture: true },
  )
})
await page.mouse.move(box.x + 40, box.y + 60)
await page.mouse.down()
for (let i = 0; i < 240; i++) {
  await page.mouse.move(box.x + 40 + i * 1.5, box.y + 60 + 40 * Math.sin(i / 12))
  await page.waitForTimeout(8)
}
await page.mouse.up()
const { frames, inked, moves, behind } = await page.evaluate(() => ({
  frames: window.frames16,
  inked: window.inked,
  moves: window.moves,
  behind: window.behind,
}))
console.log(`\n| drawing on the squared sheet, with ${others} other controls on the page | |\n| --- | --- |`)
console.log(`| frame to frame, median | ${ms(median(frames))} |`)
console.log(`| frames later than 20 ms | ${((100 * frames.filter((f) => f > 20).length) / frames.length).toFixed(1)} % of ${frames.length} |`)
console.log(`| pen to frame, median | ${ms(median(inked))} |`)
console.log(`| pen to frame, p95 | ${ms(p95(inked))} |`)
console.log(`| moves of the pen whose ink the next frame did not show | ${behind} of ${moves} |`)
await browser.close()
