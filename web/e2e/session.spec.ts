import { expect, test, type Page } from '@playwright/test'
import { join, kept, onPhone, signIn, stage } from './acts'

/** A session that ends, a network that is lost: the desk stays, what was typed stays, and work goes on where it was. */

const tern = () =>
  /8 Tern\s+code (\w+) · (.+) · PIN (\d+)/.exec(process.env.CHALK_ACCOUNTS ?? '')?.slice(1) as [string, string, string]
/** As another device would: the session is over, and the page does not know it yet. */
const endSession = (page: Page, path: string) =>
  page.request.delete(path, { headers: { 'X-Chalk-Ladder': '1' } }).then((r) => expect(r.status()).toBeLessThan(300))

test('signing in is laid over a desk whose session has ended, and the desk goes on', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await page.goto('/bank/new/text')
  await page.getByRole('textbox', { name: 'Prompt' }).fill('Name the slowest hour of the tide.')
  await page.getByLabel('Text of form 1').fill('the first')
  await endSession(page, '/api/session')
  await page.getByRole('button', { name: 'Save question' }).click()
  const door = page.getByRole('alertdialog', { name: 'You are no longer signed in' })
  await expect(door).toBeVisible()
  await door.getByRole('button', { name: /Maren Ostrander/ }).click()
  await expect(door).toHaveCount(0)
  await expect(page.getByRole('textbox', { name: 'Prompt' })).toHaveText('Name the slowest hour of the tide.')
  // What was to be saved when the session ended is saved now.
  await expect(page.getByText(/^text · version 1/)).toBeVisible()
  await page.getByRole('button', { name: 'Archive' }).click()
})

test('paper edits made without a network are back after leaving and after a reload', async ({ page, context }) => {
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Papers')
  await page.getByRole('link', { name: 'Heights with own numbers' }).click()
  const title = page.getByRole('region', { name: 'Outline' }).getByLabel('Title')
  await expect(title).toHaveValue('Heights with own numbers')
  await context.setOffline(true)
  await title.fill('Heights, offline')
  await expect(page.getByText(/The server cannot be reached/)).toBeVisible()
  await page.getByRole('link', { name: 'Bank' }).click()
  await context.setOffline(false)
  await stage(page, 'Papers')
  await page.getByRole('link', { name: /^Heights(, offline| with own numbers)$/ }).click()
  await expect(title).toHaveValue('Heights, offline')
  await expect(page.getByText(/· saved/)).toBeVisible()
  await page.reload()
  await expect(title).toHaveValue('Heights, offline')
  await title.fill('Heights with own numbers')
  await expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible()
})

test('a student who is signed out in the middle joins again, and no answer is lost', async ({ page, browser }) => {
  await signIn(page, 'Maren Ostrander')
  const [code, name, pin] = tern()
  const read = async (path: string) => (await page.request.get(path)).json()
  const tide = (await read('/api/papers')).papers.find((p: { title: string }) => p.title === 'Five-minute check: tides')
  const terns = (await read('/api/classes')).classes.find((c: { name: string }) => c.name === '8 Tern')
  const student = (await read(`/api/classes/${terns.id}`)).students.find((s: { name: string }) => s.name === name)
  const made = await page.request.post('/api/handouts', {
    headers: { 'X-Chalk-Ladder': '1' },
    data: { editionId: tide.editionId, students: [student.id], requestId: crypto.randomUUID() },
  })
  expect(made.status()).toBeLessThan(300)

  const phone = await onPhone(browser)
  await join(phone, code, name, pin)
  await phone
    .getByRole('listitem')
    .filter({ hasText: 'Five-minute check: tides' })
    .getByRole('button', { name: 'Begin' })
    .click()
  await phone
    .locator('label')
    .filter({ has: phone.getByRole('radio') })
    .first()
    .click()
  await kept(phone)
  await endSession(phone, '/api/me')
  await phone.getByRole('button', { name: 'Next' }).click()
  await phone
    .locator('label')
    .filter({ has: phone.getByRole('radio') })
    .nth(1)
    .click()
  const door = phone.getByRole('alertdialog', { name: 'You are no longer signed in' })
  await expect(door).toBeVisible()
  await door.getByLabel('Class code').fill(code)
  await door.getByLabel('Your name').fill(name)
  await door.getByLabel('PIN').fill(pin)
  await door.getByRole('button', { name: 'Join' }).click()
  await expect(door).toHaveCount(0)
  await kept(phone)
  await expect(phone.getByRole('radio').nth(1)).toBeChecked()
  const id = (await made.json()).id
  await page.request.post(`/api/handouts/${id}/close`, { headers: { 'X-Chalk-Ladder': '1' } })
})
