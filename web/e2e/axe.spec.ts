import { expect, test, type Page } from '@playwright/test'
import { axeClean, join, onPhone, signIn } from './acts'

/** Every route of staff and students, on paper and on slate, with what can be laid over it; and at 400 % zoom. */

type Row = { id: string; title: string }
const read = async (page: Page, path: string) => (await page.request.get(`/api/${path}`)).json()
const named = (rows: Row[], start: string) => rows.find((r) => r.title.startsWith(start))?.id ?? ''
const THEMES = ['light', 'dark'] as const

async function routes(page: Page) {
  const { items } = await read(page, 'items')
  const { papers } = await read(page, 'papers')
  const { classes } = await read(page, 'classes')
  const { handouts } = await read(page, 'handouts')
  const { groupings } = await read(page, 'groupings')
  const { questions } = await read(page, 'marking')
  const check = named(handouts, 'Five-minute')
  const own = (type: string) => items.find((i: { type: string }) => i.type === type)?.id
  return [
    '/bank',
    ...['choice', 'text', 'number', 'open'].flatMap((type) => [`/bank/${own(type)}`, `/bank/new/${type}`]),
    '/bank/by-students',
    '/papers',
    `/papers/${named(papers, 'Heights of tide')}`,
    `/papers/${named(papers, 'Heights in rounds')}?on=routes`,
    `/papers/${named(papers, 'Springs, neaps')}?on=blueprint`,
    `/papers/${named(papers, 'Listening')}`,
    `/papers/${named(papers, 'Listening')}/preview`,
    `/papers/${named(papers, 'Heights of tide')}/preview`,
    '/classes',
    `/classes/${classes[0].id}`,
    '/handouts',
    `/handouts/new?edition=${papers.find((p: { editionId: string | null }) => p.editionId).editionId}`,
    '/lookout',
    `/lookout/${check}`,
    '/marking',
    `/marking/${questions[0].handoutId}/${questions[0].entry}`,
    '/results',
    `/results/${check}`,
    `/results/${check}?view=students`,
    '/groups',
    `/groups/${groupings[0].id}`,
    `/groups/of/${check}`,
    '/account',
    '/trail',
    '/outbox',
  ]
}

/** Nothing of a screen lies beside it; what is wider than the screen scrolls in a region of its own. */
const noSideways = async (page: Page, where: string) =>
  expect([where, await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth + 1)]).toEqual([
    where,
    true,
  ])

for (const theme of THEMES)
  test(`every staff route is clean for axe, ${theme}`, async ({ page }) => {
    test.setTimeout(240_000)
    await page.addInitScript((one) => localStorage.setItem('chalk.theme', one), theme)
    await signIn(page, 'Maren Ostrander')
    for (const route of await routes(page)) {
      await page.goto(route)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await page.waitForLoadState('networkidle')
      expect(await page.locator('html').getAttribute('data-theme')).toBe(theme)
      await axeClean(page, theme === 'light' ? 'all' : 'colours')
    }
  })

test('every overlay is clean for axe in both themes', async ({ page }) => {
  test.setTimeout(240_000)
  await signIn(page, 'Maren Ostrander')
  const { handouts } = await read(page, 'handouts')
  const { papers } = await read(page, 'papers')
  const { classes } = await read(page, 'classes')
  const live = named(handouts, 'Heights of tide')
  const check = named(handouts, 'Five-minute')
  const paper = `/papers/${named(papers, 'Heights of tide')}`
  const button = (name: string | RegExp) => page.getByRole('button', { name }).first().click()
  const overlays: [string, () => Promise<void>][] = [
    ['/bank', () => page.keyboard.press('?')],
    ['/bank', () => button('New question')],
    ['/bank', () => button(/^Account of/)],
    ['/bank/new/choice', () => page.getByLabel('Misconception behind option B').click()],
    ['/bank/new/number', () => page.getByLabel('Unit').click()],
    ['/bank/new/number', () => page.getByLabel('Credit of value 1').click()],
    [paper, () => page.keyboard.press('a')],
    [paper, () => button(/^Rehearse/)],
    ['/classes', () => button('New class')],
    [`/classes/${classes[0].id}`, () => button('New group')],
    ['/account', () => button('Add a colleague')],
    ['/handouts', () => button(/^Times of Heights of tide/)],
    ['/handouts/new', () => button('Closes: pick a day')],
    [`/lookout/${live}`, () => button('Close')],
    [`/results/${check}`, () => button('Mean: how was this computed?')],
    ['/marking', () => button('Return Five-minute check: tides')],
  ]
  for (const theme of THEMES) {
    await page.evaluate((one) => localStorage.setItem('chalk.theme', one), theme)
    for (const [route, act] of overlays) {
      await page.goto(route)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await page.waitForLoadState('networkidle')
      await act()
      await expect(page.locator('[role=dialog],[role=alertdialog],[role=menu],[role=listbox]').first()).toBeVisible()
      await axeClean(page, theme === 'light' ? 'all' : 'colours')
    }
  }
})

test('at 400 % zoom nothing of a staff screen lies beside it', async ({ page }) => {
  test.setTimeout(240_000)
  await signIn(page, 'Maren Ostrander')
  await page.setViewportSize({ width: 320, height: 256 })
  for (const route of await routes(page)) {
    await page.goto(route)
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1)
    await page.waitForLoadState('networkidle')
    await noSideways(page, route)
  }
})

test('every student route is clean for axe, and fits at 400 % zoom', async ({ browser }) => {
  test.setTimeout(120_000)
  const [code, name, pin] = /8 Tern\s+code (\w+) · (.+) · PIN (\d+)/
    .exec(process.env.CHALK_ACCOUNTS ?? '')
    ?.slice(1) as [string, string, string]
  const phone = await onPhone(browser)
  await phone.goto('/join')
  for (const theme of THEMES) {
    await phone.evaluate((one) => localStorage.setItem('chalk.theme', one), theme)
    await phone.goto('/join')
    await axeClean(phone)
  }
  await join(phone, code, name, pin)
  const sittings = [...JSON.stringify(await read(phone, 'me/work')).matchAll(/"sittingId":"([0-9a-f-]{36})"/g)].map(
    (found) => found[1],
  )
  for (const theme of THEMES) {
    await phone.evaluate((one) => localStorage.setItem('chalk.theme', one), theme)
    for (const route of ['/my', '/my/questions', ...sittings.slice(0, 2).map((id) => `/my/${id}`)]) {
      await phone.setViewportSize({ width: 390, height: 844 })
      await phone.goto(route)
      await expect(phone.getByRole('heading', { level: 1 })).toBeVisible()
      await axeClean(phone)
      await phone.setViewportSize({ width: 320, height: 256 })
      await noSideways(phone, route)
    }
  }
})
