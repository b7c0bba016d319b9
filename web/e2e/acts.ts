import AxeBuilder from '@axe-core/playwright'
import { GIVEN_PLANS } from '../src/lib/conditions'
import { expect, type Browser, type Locator, type Page } from '@playwright/test'

/** All is told as soon as one has handed in. */
export const AFTER_HAND_IN = GIVEN_PLANS.find((plan) => plan.id === 'after hand-in')?.tells

/** Enters by one of the demo's offered accounts. */
export async function signIn(page: Page, name: string) {
  await page.goto('/bank')
  await page.getByRole('button', { name: new RegExp(name) }).click()
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible()
}

export async function stage(page: Page, name: string) {
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(name)
}

/** No finding of axe at levels A and AA of WCAG 2.0 to 2.2; of a theme that is looked at second, its colours, which alone differ. */
export async function axeClean(page: Page, what: 'all' | 'colours' = 'all') {
  const axe = new AxeBuilder({ page })
  if (what === 'colours') axe.withRules(['color-contrast', 'link-in-text-block'])
  else axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
  // A list that is open to choose from holds the focus: what it hides behind it is out of reach, which axe cannot see.
  if (await page.locator('[role=listbox][data-state=open]').count()) axe.disableRules(['aria-hidden-focus'])
  const { violations } = await axe.analyze()
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([])
}

export async function onPhone(browser: Browser): Promise<Page> {
  return (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
}

export async function join(phone: Page, code: string, name: string, pin: string) {
  await phone.goto(`/join?code=${code}`)
  await phone.getByLabel('Your name').fill(name)
  await phone.getByLabel('PIN').fill(pin)
  await phone.getByRole('button', { name: 'Join' }).click()
  await expect(phone.getByRole('heading', { level: 1 })).toHaveText(name)
}

/** Waits for the quiet line to say that the server has the answer. */
export async function kept(phone: Page) {
  await expect(phone.getByRole('banner')).toContainText('kept')
  await expect(phone.getByRole('banner')).not.toContainText('device')
}

/** Opens a list to choose from and takes what is written there. */
export async function pickFrom(field: Locator, label: string | RegExp) {
  await field.click()
  await field.page().getByRole('listbox').getByRole('option', { name: label, exact: true }).click()
  await expect(field.page().getByRole('listbox')).toHaveCount(0)
}

/** What the program does where a journey is about other screens. */
export async function called(page: Page, method: string, path: string, data?: object) {
  const answer = await page.request.fetch(`/api${path}`, { method, data, headers: { 'X-Chalk-Ladder': '1' } })
  expect(answer.ok(), `${method} ${path}: ${await answer.text()}`).toBe(true)
  return answer.json()
}

/** A class, with what stands on its slips. */
export async function classOf(page: Page, className: string, names: string[]) {
  const { id } = await called(page, 'POST', '/classes', { name: className })
  await called(page, 'POST', `/classes/${id}/roster`, { text: names.join('\n') })
  const { code, students } = await called(page, 'GET', `/classes/${id}`)
  const pins: Record<string, string> = {}
  for (const student of students)
    pins[student.name] = (await called(page, 'POST', `/classes/${id}/students/${student.id}/pin`)).pin
  return { id, code, pins }
}

export async function classOfOne(page: Page, className: string, student: string) {
  const { id, code, pins } = await classOf(page, className, [student])
  return { id, code, pin: pins[student] ?? '' }
}

/** A paper of the demo's, handed to a class of one by the program; the handout's id. */
export async function handTo(page: Page, classId: string, paperTitle: string, change: object = {}) {
  const { papers } = await (await page.request.get('/api/papers')).json()
  const paper = papers.find((p: { title: string }) => p.title.startsWith(paperTitle))
  const made = await page.request.post('/api/handouts', {
    data: {
      editionId: paper.editionId,
      classes: [classId],
      conditions: {
        attempts: 1,
        counts: 'best',
        shuffleQuestions: false,
        shuffleOptions: false,
        feedback: AFTER_HAND_IN,
        ...change,
      },
      requestId: crypto.randomUUID(),
    },
    headers: { 'X-Chalk-Ladder': '1' },
  })
  return ((await made.json()) as { id: string }).id
}

/** Draws on something, by places in shares of its width and height. */
export async function drag(on: Locator, ...places: [number, number][]) {
  const box = (await on.boundingBox())!
  const at = ([x, y]: [number, number]) => [box.x + x * box.width, box.y + y * box.height] as const
  const { mouse } = on.page()
  await mouse.move(...at(places[0]!))
  await mouse.down()
  for (const place of places.slice(1)) await mouse.move(...at(place), { steps: 5 })
  await mouse.up()
}

/** Presses a place of something, in shares of its width and height. */
export async function press(on: Locator, x: number, y: number) {
  const box = (await on.boundingBox())!
  await on.click({ position: { x: x * box.width, y: y * box.height } })
}
