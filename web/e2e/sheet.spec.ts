import { expect, test } from '@playwright/test'
import { axeClean, press, signIn } from './acts'

test('an old worksheet gets answer places, and is answered on its page', async ({ page }) => {
  await signIn(page, 'Suvi Tamarin')
  await page.goto('/papers')
  await page.getByRole('link', { name: 'A worksheet from before: Kelpwick bar' }).click()
  await page.getByRole('button', { name: 'Put answer places on it …' }).click()
  const sheet = page.getByRole('application', { name: /Page 1/ })
  await press(sheet, 0.5, 0.8)
  await page.getByLabel('What is right at 6').fill('slack water')
  await axeClean(page)
  await press(sheet, 0.5, 0.9)
  await page.getByLabel('What is asked for at 7').click()
  await page.getByRole('option', { name: 'a drawing on the page' }).click()
  await page.getByRole('button', { name: 'Make 2 questions of them' }).click()
  await expect(page.getByText('2 questions kept, in the bank and here.', { exact: true })).toBeVisible()
  await expect(page.getByText('A morning at Kelpwick bar, 6').first()).toBeVisible()
  await expect(page.getByText(/· saved/)).toBeVisible()

  await page.getByRole('button', { name: 'Preview' }).click()
  const first = page.getByRole('button', { name: 'Look at mark 1 on page 1 of A morning at Kelpwick bar' })
  await expect(first).toBeVisible()
  await expect(page.getByRole('img', { name: /^Page 1/ })).toBeVisible()
  await page.getByRole('textbox', { name: 'Answer to question 1, on the page' }).fill('3.8')
  await expect(page.getByLabel('Your answer to question 1')).toHaveValue('3.8')
  await page.getByRole('button', { name: 'Check' }).click()
  await expect(page.getByText('Right', { exact: true }).first()).toBeVisible()
  await page.getByRole('button', { name: /^Question 2,/ }).click()
  await expect(page.getByRole('button', { name: /^Look at mark 2/ })).toBeVisible()
  await axeClean(page)

  // What is drawn is drawn on the page itself, which does not move.
  await page.getByRole('button', { name: /^Question 7,/ }).click()
  const ground = page.getByRole('application', { name: /Drawing for question 7/ }).locator('image')
  await expect.poll(async () => (await page.request.get((await ground.getAttribute('href'))!)).status()).toBe(200)
})
