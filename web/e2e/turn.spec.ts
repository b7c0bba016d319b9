import { expect, test } from '@playwright/test'
import { axeClean, classOfOne, join, kept, onPhone, signIn } from './acts'

/** One question after the other, each with a time of its own, and tools beside them. */
test('a question is left when its time is over, with what was in it', async ({ browser, page }) => {
  await signIn(page, 'Maren Ostrander')
  const one = await classOfOne(page, '8 Phalarope', 'Nils Orrey')
  await page.goto('/papers')
  await page.getByRole('link', { name: 'Five-minute check: tides' }).click()
  await page.getByRole('link', { name: 'Hand out' }).click()
  await page.getByRole('checkbox', { name: '8 Phalarope, 1 student' }).check()
  await page.getByRole('checkbox', { name: /^So many seconds for each question/ }).check()
  await expect(page.getByRole('combobox', { name: 'How students meet the questions' })).toHaveText(/no way back/)
  await page.getByRole('textbox', { name: 'Seconds' }).fill('20')
  await page.getByRole('checkbox', { name: 'A calculator beside the questions' }).check()
  await axeClean(page)
  await page.getByRole('button', { name: 'Hand out to 1 class' }).click()
  await page.waitForURL(/lookout\/[0-9a-f-]{36}/)

  const phone = await onPhone(browser)
  await join(phone, one.code, 'Nils Orrey', one.pin)
  await expect(phone.getByText('20 seconds for each question')).toBeVisible()
  await phone.getByRole('button', { name: 'Begin' }).click()
  const heading = phone.getByRole('heading', { level: 1 })
  await expect(heading).toHaveText('1')
  await expect(phone.getByText(/^\d+ s left/)).toBeVisible()
  await phone.getByRole('radio').first().check({ force: true })
  await kept(phone)
  await phone.getByRole('button', { name: 'Calculator' }).click()
  const calculator = phone.getByRole('region', { name: 'Calculator' })
  await calculator.getByLabel('Sum', { exact: true }).fill('4,6-0,8')
  await expect(calculator.getByText('= 3,8')).toBeVisible()
  await axeClean(phone)
  // Nobody presses anything.
  await expect(heading).toHaveText('2', { timeout: 30_000 })
  await expect(phone.getByRole('button', { name: 'Question 1, answered' })).toBeDisabled()
  await expect(phone.getByText(/^\d+ s left/)).toBeVisible()
})
