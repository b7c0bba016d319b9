import { expect, test } from '@playwright/test'
import { axeClean, classOfOne, join, kept, onPhone, pickFrom, signIn } from './acts'

test('a question of the bank is asked in class, counted by hands and on a device, and keeps what the room said', async ({
  browser,
  page,
}) => {
  await signIn(page, 'Maren Ostrander')
  const one = await classOfOne(page, '8 Whinchat', 'Noor Tal')
  await page.goto('/bank?q=Which+chart+shows+more')
  await page.getByRole('row', { name: /Which chart shows more/ }).click()
  await page.getByRole('button', { name: 'Ask the room' }).click()
  const dialog = page.getByRole('dialog', { name: /in class$/ })
  await pickFrom(dialog.getByRole('combobox', { name: 'Class' }), '8 Whinchat, 1 student')
  await axeClean(page)
  await dialog.getByRole('button', { name: 'Ask the room' }).click()
  await page.waitForURL(/lookout\/[0-9a-f-]{36}\/e1/)

  const wall = await page.context().newPage()
  await wall.goto(page.url().replace(/lookout\/([^/]+)\/e1$/, 'wall/$1'))
  await expect(wall.getByText(/most detail/)).toBeVisible()
  const phone = await onPhone(browser)
  await join(phone, one.code, 'Noor Tal', one.pin)
  await phone.getByRole('button', { name: 'Begin' }).click()
  await phone.getByText('1 : 50 000').click()
  await expect(wall.getByText('1 of 1 answered')).toBeVisible()

  const count = async (button: string, hands: [string, string][]) => {
    await page.getByRole('button', { name: button }).click()
    for (const [letter, n] of hands) await page.getByLabel(letter, { exact: true }).fill(n)
    await page.getByRole('button', { name: 'Keep the count' }).click()
  }
  await count('Count raised hands', [
    ['A', '6'],
    ['B', '14'],
  ])
  await count('Count after the talk', [['A', '18']])
  await expect(wall.getByText('18 hands')).toBeVisible()
  await axeClean(page)

  await page.goto('/bank?q=Which+chart+shows+more')
  await page.getByRole('row', { name: /Which chart shows more/ }).click()
  await page.getByRole('button', { name: 'By class and edition' }).click()
  await expect(page.getByRole('row', { name: /raised hands 6 of 20, 30 % 18 of 18, 100 %/ })).toBeVisible()
  await page.goto('/papers')
  await expect(page.getByRole('link', { name: 'Worksheet: a tide at Kelpwick' })).toBeVisible()
  await expect(page.getByText('In the room: Which chart shows more')).toHaveCount(0)
})

test('questions on paper: letters are entered, and marked when the key is given in front of the class', async ({
  browser,
  page,
}) => {
  await signIn(page, 'Maren Ostrander')
  const one = await classOfOne(page, '8 Sanderling', 'Noor Tal')
  await page.goto('/papers')
  await page.getByRole('button', { name: 'Questions on paper …' }).click()
  await page.getByLabel('Name').fill('A sheet for Sanderling')
  await page.getByLabel('Questions', { exact: true }).fill('2')
  await axeClean(page)
  await page.getByRole('button', { name: 'Make it and hand it out' }).click()
  await page.getByLabel('8 Sanderling, 1 student').click()
  await page.getByRole('button', { name: /^Hand out/ }).click()
  await page.waitForURL(/lookout\/[0-9a-f-]{36}$/)

  const phone = await onPhone(browser)
  await join(phone, one.code, 'Noor Tal', one.pin)
  await phone.getByRole('button', { name: 'Begin' }).click()
  await expect(phone.getByText('Question 1 on your sheet')).toBeVisible()
  await phone.locator('label').filter({ hasText: 'B' }).click()
  await axeClean(phone)
  await kept(phone)

  // One question in front of the class: how it splits, then its key.
  await page.goto(`${page.url()}/q1`)
  await expect(page.getByRole('heading', { name: 'Which is the key?' })).toBeVisible()
  await page.getByRole('button', { name: 'B is the key of question 1' }).click()
  await expect(page.getByRole('heading', { name: 'Which is the key?' })).toHaveCount(0)
  await page.getByRole('button', { name: 'All questions' }).click()
  await expect(page.getByRole('row', { name: /Noor Tal/ })).toContainText('1 of 1')

  // The rest of the list, with a slip that is taken back where it was given.
  await page.getByRole('button', { name: 'Give the key' }).click()
  await page.getByRole('button', { name: 'A is the key of question 2' }).click()
  await page.getByRole('button', { name: 'Take back the key of question 2' }).click()
  await expect(page.getByRole('button', { name: 'A is the key of question 2' })).toBeVisible()
  await axeClean(page)
})
