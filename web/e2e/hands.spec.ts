import { expect, test, type Locator, type Page } from '@playwright/test'
import { join, onPhone, signIn, stage } from './acts'

/** What hands expect of keys, focus and buttons: nothing is taken from a control, nothing falls to the page. */

const tern = () =>
  /8 Tern\s+code (\w+) · (.+) · PIN (\d+)/.exec(process.env.CHALK_ACCOUNTS ?? '')?.slice(1) as [string, string, string]
const focused = (page: Page) => page.locator(':focus')
const onSomething = (page: Page) =>
  expect(page.evaluate(() => document.activeElement?.tagName)).resolves.not.toBe('BODY')

test('Enter belongs to the control that has the focus', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Bank')
  await expect(page.getByRole('row')).not.toHaveCount(0)
  await page.getByRole('link', { name: 'Papers' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Papers')

  await stage(page, 'Marking')
  await page.getByRole('link', { name: /Why springs follow the moon/ }).click()
  const said = page.getByText(/^\d+ of \d+ marked$/)
  const before = await said.innerText()
  await page.keyboard.press('1')
  await page.getByRole('button', { name: 'Return', exact: true }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(said).toHaveText(before)
  await expect(page.getByRole('button', { name: 'Return', exact: true })).toBeFocused()
  // On a level, which is a radio button, Enter is nobody's and keeps the mark.
  await page.getByRole('radio').first().focus()
  await page.keyboard.press(' ')
  await expect(page.getByRole('radio').first()).toBeChecked()
})

test('keys that are turned off can be turned on again', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Bank')
  await page.keyboard.press('?')
  await page.getByLabel('Keys are on').uncheck()
  await page.keyboard.press('Escape')
  await page.keyboard.press('/')
  await expect(page.getByLabel('Search')).not.toBeFocused()
  await page.getByRole('button', { name: 'Account of Maren Ostrander' }).click()
  await page.getByRole('menuitem', { name: 'Keys: turn them on' }).click()
  await expect(page.getByLabel('Keys are on')).toBeChecked()
  await page.keyboard.press('Escape')
  await page.keyboard.press('/')
  await expect(page.getByLabel('Search')).toBeFocused()
})

test('the focus goes where the act was, or to what came of it', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Papers')
  // A screen is arrived at by its heading.
  await expect(page.getByRole('heading', { level: 1, name: 'Papers' })).toBeFocused()
  // A row that goes leaves the focus on the next.
  const archive = page.getByRole('button', { name: 'Archive' })
  await expect(archive.first()).toBeVisible()
  const rows = await archive.count()
  await archive.nth(1).focus()
  await page.keyboard.press('Enter')
  await expect(archive).toHaveCount(rows - 1)
  await expect(archive.nth(1)).toBeFocused()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(archive).toHaveCount(rows)

  // A button that is greyed while it saves has the focus again.
  await stage(page, 'Bank')
  await page.getByRole('button', { name: 'New text' }).click()
  await page.getByLabel('Title, for the team').fill('Which water')
  await page.getByRole('textbox', { name: 'Prompt' }).fill('Name the highest water.')
  await page.getByLabel('Text of form 1').fill('springs')
  await page.keyboard.press('Control+s')
  await expect(page.getByText(/^text · version 1/)).toBeVisible()
  await onSomething(page)
  await page.getByRole('button', { name: 'Archive' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Bank' })).toBeVisible()
  await onSomething(page)
})

test('a list is one Tab stop with arrows inside, and the panel follows', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Bank')
  const links = page.getByRole('table').getByRole('link')
  await expect(links.first()).toBeVisible()
  expect(await links.evaluateAll((all) => all.filter((el) => el.tabIndex === 0).length)).toBe(1)
  await links.first().focus()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await expect(links.nth(2)).toBeFocused()
  const title = await links.nth(2).innerText()
  const panel = page.getByRole('region', { name: 'The question' })
  await expect(panel.getByRole('heading', { level: 2 })).toHaveText(title)
  await page.keyboard.press('Tab')
  await expect(panel.getByRole('link', { name: 'Edit' })).toBeFocused()

  await stage(page, 'Lookout')
  await page.getByRole('link', { name: /Heights of tide/ }).click()
  const names = page.getByRole('rowheader').getByRole('button')
  await expect(names.first()).toBeVisible()
  await names.first().focus()
  await page.keyboard.press('ArrowDown')
  const beside = page.getByRole('region', { name: 'Beside the picture' })
  await expect(beside).toContainText(await names.nth(1).innerText())
  await page.keyboard.press('Tab')
  await expect(beside.locator(':focus')).toHaveCount(1)
})

test('what is typed into a search keeps its letters and its caret', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Bank')
  const search = page.getByLabel('Search')
  await search.pressSequentially('tde', { delay: 60 })
  await expect(page).toHaveURL(/q=tde/)
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowLeft')
  await search.pressSequentially('i', { delay: 60 })
  await expect(page).toHaveURL(/q=tide/)
  await expect(search).toHaveValue('tide')
  expect(await search.evaluate((el: HTMLInputElement) => el.selectionStart)).toBe(2)
})

test('the page does not move under a hand that leaves a text', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await page.goto('/bank/new/choice')
  const add = page.getByRole('button', { name: 'Add an option' })
  const top = async (what: Locator) => (await what.boundingBox())?.y
  await page.getByRole('textbox', { name: 'Text of option A' }).scrollIntoViewIfNeeded()
  const before = await top(add)
  await page.getByRole('textbox', { name: 'Text of option A' }).focus()
  expect(await top(add)).toBe(before)
  await add.click()
  await expect(page.getByRole('textbox', { name: 'Text of option E' })).toBeVisible()
})

test('what can be taken back waits for the hand that is on it', async ({ page }) => {
  await page.clock.install()
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Papers')
  const archive = page.getByRole('button', { name: 'Archive' })
  await expect(archive.first()).toBeVisible()
  const rows = await archive.count()
  await archive.nth(0).click()
  const undo = page.getByRole('button', { name: 'Undo' })
  await undo.focus()
  await page.clock.fastForward(60_000)
  await expect(undo).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(archive).toHaveCount(rows)
})

test('a link to a student’s work leads through joining and back to it', async ({ page, browser }) => {
  await signIn(page, 'Maren Ostrander')
  const [code, name, pin] = tern()
  const phone = await onPhone(browser)
  await join(phone, code, name, pin)
  await phone
    .getByRole('listitem')
    .getByRole('button')
    .or(phone.getByRole('listitem').getByRole('link'))
    .first()
    .click()
  await expect(phone).toHaveURL(/\/my\/[0-9a-f-]{36}$/)
  const work = phone.url()
  await phone.context().clearCookies()
  await phone.goto(work)
  await expect(phone.getByRole('heading', { level: 1 })).toHaveText('Join your class')
  await phone.getByLabel('Class code').fill(code)
  await phone.getByLabel('Your name').fill(name)
  await phone.getByLabel('PIN').fill(pin)
  await phone.getByRole('button', { name: 'Join' }).click()
  await expect(phone).toHaveURL(work)
  await phone.context().close()
})

test('when two have changed one thing, the newer is opened and nothing is lost', async ({ page, browser }) => {
  await signIn(page, 'Maren Ostrander')
  const other = await (await browser.newContext()).newPage()
  await signIn(other, 'Maren Ostrander')
  for (const one of [page, other]) {
    await stage(one, 'Papers')
    await one
      .getByRole('link', { name: /Further out/ })
      .first()
      .click()
    await expect(one.getByLabel('Title').first()).toHaveValue(/Further out/)
  }
  await other.getByLabel('Title').first().fill('Further out, by the other')
  await expect(other.getByText(/saved \d\d:\d\d/)).toBeVisible()
  await page.getByLabel('Title').first().fill('Further out, by me')
  await page.getByRole('button', { name: 'Open the newer one' }).click()
  await expect(page.getByLabel('Title').first()).toHaveValue('Further out, by the other')
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(page.getByLabel('Title').first()).toHaveValue('Further out, by me')
  await expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible()
  await other.reload()
  await expect(other.getByLabel('Title').first()).toHaveValue('Further out, by me')
  await page.getByLabel('Title').first().fill('Further out')
  await expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible()
})

test('a download is named by what it is', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Results')
  await page.getByRole('link', { name: /Five-minute/ }).click()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Marks CSV' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('Five-minute check tides · 8 Heron, 8 Kestrel, 8 Tern · marks.csv')
  await expect(focused(page)).toHaveText('Marks CSV')
})
