import { expect, test } from '@playwright/test'
import { axeClean, signIn } from './acts'

test('routes are read off the map, mended, cut anew and published by keys alone', async ({ page }) => {
  await signIn(page, 'Suvi Tamarin')
  const { papers } = await (await page.request.get('/api/papers')).json()
  const { id } = papers.find((p: { title: string }) => p.title === 'Heights in rounds')
  await page.goto(`/papers/${id}`)
  await expect(page.getByRole('button', { name: 'Publish edition 1' })).toBeDisabled()
  await page.keyboard.press('m')
  const way = (from: string, to: string) => page.getByRole('button', { name: new RegExp(`^${from} to ${to}: `) })
  await expect(way('First look', 'Other words')).toHaveAccessibleName(/never taken$/)
  await expect(way('Second look', 'Second look')).toContainText('at most 1 time')
  // A thousand students have sat it: most pass the second look.
  await expect(way('First look', 'Further out')).toContainText(/\d\d of 100/)
  await expect(page.getByRole('row', { name: /First look → Further out/ })).toBeVisible()
  await expect(page.getByText('✕ Section "Other words" is never reached.')).toBeVisible()
  await axeClean(page)

  // The second way of the first section stands below the one that takes all of its students.
  await page.keyboard.press('j')
  await page.keyboard.press('j')
  await page.getByRole('button', { name: 'Try it sooner' }).focus()
  await page.keyboard.press('Enter')
  await expect(way('First look', 'Other words')).not.toHaveAccessibleName(/never taken/)
  await expect(page.getByText('✓ Every section is reached, every way ends')).toBeVisible()

  // Back to one way with a cut of its own, at another share.
  await page.getByRole('button', { name: 'Take way 1 out' }).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: /^below 50 % → Second look/ }).focus()
  await page.keyboard.press('Enter')
  await page
    .getByRole('button', { name: /^Cut at/ })
    .first()
    .focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'What, way 1' })).not.toHaveValue('50')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(way('First look', 'Other words')).toBeVisible()

  const publish = page.getByRole('button', { name: 'Publish edition 1' })
  await expect(publish).toBeEnabled()
  await publish.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Edition 1 is published').first()).toBeVisible()
})
