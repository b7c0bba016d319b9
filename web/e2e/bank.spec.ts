import { expect, test } from '@playwright/test'
import { axeClean, pickFrom, signIn } from './acts'

test('questions are found through a slip, taken into a paper by keys, talked about, and put back as they were', async ({
  page,
}) => {
  await signIn(page, 'Suvi Tamarin')
  await page.getByRole('heading', { name: 'Bank' }).waitFor()
  await page.keyboard.press('/')
  await page.keyboard.type('shalowest')
  const row = page.getByRole('row', { name: /shallowest/i })
  await expect(row.first()).toBeVisible()

  await page.getByLabel('Search').fill('tide clock')
  await expect(page.getByRole('heading', { name: 'The tide clock' })).toBeVisible()
  await page.getByLabel('Search').fill('how high')
  await expect(page.getByText(/questions found/)).toBeVisible()
  await page.getByRole('link', { name: /./ }).and(page.locator('tbody [data-roving]')).first().focus()
  const titles = page.locator('tbody [data-roving]')
  const [first, second] = [await titles.nth(0).innerText(), await titles.nth(1).innerText()]
  await page.keyboard.press('x')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('x')
  await expect(page.getByText('2 chosen')).toBeVisible()
  await axeClean(page)
  await page.getByRole('button', { name: 'Take into a paper' }).click()
  await page.getByRole('menuitem', { name: 'Further out' }).click()
  await expect(page).toHaveURL(/\/papers\//)
  for (const title of [first, second]) await expect(page.getByText(title).first()).toBeVisible()
  await expect(page.getByRole('banner').or(page.locator('header')).first()).toBeVisible()

  await page.goto('/bank?q=tide%20clock')
  await page.getByRole('heading', { name: 'The tide clock' }).waitFor()
  await page.getByLabel('A remark to the team').fill('Two of 8 Tern read it backwards.')
  await pickFrom(page.getByLabel('It is about'), 'what is asked')
  await page.getByRole('button', { name: 'Say it' }).click()
  await expect(page.getByText('Two of 8 Tern read it backwards.', { exact: true })).toBeVisible()
  await expect(page.getByRole('row', { name: /The tide clock/ })).toContainText('1 remark')

  await page.getByRole('link', { name: 'Edit' }).click()
  const title = page.getByLabel('Title, for the team')
  await title.fill('The clock of the tide')
  await page.keyboard.press('Control+s')
  await expect(page.getByText(/^saved /)).toBeVisible()
  await page.getByRole('button', { name: 'Earlier versions' }).click()
  await expect(page.getByRole('dialog').getByRole('table')).toContainText('The clock of the tide')
  await axeClean(page)
  await page.getByRole('button', { name: /^Take version/ }).click()
  await expect(title).toHaveValue('The tide clock')
  await page.keyboard.press('Control+s')
  await expect(page.getByText(/^saved /)).toBeVisible()
  await page.getByRole('button', { name: 'Settled', exact: true }).click()
  await expect(page.getByRole('button', { name: '1 settled remark' })).toBeVisible()
})
