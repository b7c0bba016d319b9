import { expect, test } from '@playwright/test'
import { axeClean, press, signIn } from './acts'

test('an old worksheet gets answer places, and is answered beside its page', async ({ page }) => {
  await signIn(page, 'Suvi Tamarin')
  await page.goto('/papers')
  await page.getByRole('link', { name: 'A worksheet from before: Kelpwick bar' }).click()
  await page.getByRole('button', { name: 'Put answer places on it …' }).click()
  const sheet = page.getByRole('application', { name: /Page 1/ })
  await press(sheet, 0.5, 0.8)
  await page.getByLabel('What is right at 6').fill('slack water')
  await axeClean(page)
  await page.getByRole('button', { name: 'Make 1 question of them' }).click()
  await expect(page.getByText('1 question kept, in the bank and here.', { exact: true })).toBeVisible()
  await expect(page.getByText('A morning at Kelpwick bar, 6').first()).toBeVisible()
  await expect(page.getByText(/· saved/)).toBeVisible()

  await page.getByRole('button', { name: 'Preview' }).click()
  const first = page.getByRole('button', { name: 'Look at mark 1 on page 1 of A morning at Kelpwick bar' })
  await expect(first).toBeVisible()
  await expect(page.getByRole('img', { name: /^Page 1/ })).toBeVisible()
  await page.getByRole('textbox').first().fill('3.8')
  await page.getByRole('button', { name: 'Check' }).click()
  await expect(page.getByText('Right', { exact: true }).first()).toBeVisible()
  await page.getByRole('button', { name: /^Question 2/ }).click()
  await expect(page.getByRole('button', { name: /^Look at mark 2/ })).toBeVisible()
  await axeClean(page)
})
