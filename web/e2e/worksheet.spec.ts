import { expect, test } from '@playwright/test'
import { axeClean, classOfOne, join, kept, pickFrom, signIn } from './acts'

test('a worksheet is handed out with a plan of its own, filled on a tablet, and told of step by step', async ({
  browser,
  page,
}) => {
  await signIn(page, 'Maren Ostrander')
  const one = await classOfOne(page, '8 Sandpiper', 'Ines Maro')

  // Each thing is told from a moment of its own, and the team keeps the arrangement.
  await page.goto('/papers')
  await page.getByRole('link', { name: 'Worksheet: a tide at Kelpwick' }).click()
  await page.getByRole('link', { name: 'Hand out' }).click()
  await page.getByRole('checkbox', { name: '8 Sandpiper, 1 student' }).check()
  const from = (thing: string) => page.getByRole('slider', { name: `${thing}, told from` })
  for (const [thing, key] of [
    ['right or wrong', 'Home'],
    ['feedback', 'Home'],
  ] as const) {
    await from(thing).press(key)
    await from(thing).press('ArrowRight')
  }
  await from('marks').press('ArrowLeft')
  await from('worked answer').press('End')
  await expect(from('marks')).toHaveAttribute('aria-valuetext', 'closed')
  await page.getByRole('radio', { name: /^handed in/ }).click()
  await expect(page.getByRole('note', { name: 'About this plan' })).toContainText('No closing time is set: marks wait')
  await expect(page.getByLabel('What one of them sees')).toContainText('Marks come when everybody is done.')
  await page.getByRole('button', { name: 'Keep as a plan of the team' }).click()
  await page.getByLabel('Name of the plan').fill('Worksheets')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('combobox', { name: 'Plan' })).toHaveText('Worksheets')
  await pickFrom(page.getByRole('combobox', { name: 'How students meet the questions' }), 'Whole pages, as a worksheet')
  await page.getByRole('checkbox', { name: 'Pasting into answers is off' }).check()
  await axeClean(page)
  await page.getByRole('button', { name: 'Hand out to 1 class' }).click()
  await page.waitForURL(/lookout\/[0-9a-f-]{36}/)

  const tablet = await (await browser.newContext({ viewport: { width: 820, height: 1080 }, hasTouch: true })).newPage()
  await join(tablet, one.code, 'Ines Maro', one.pin)
  await tablet.getByRole('button', { name: 'Begin' }).click()
  await expect(tablet.getByRole('article')).toHaveCount(3)
  await axeClean(tablet)
  const table = tablet.getByRole('article', { name: 'Question 2' })
  const cell = table.getByRole('textbox').first()
  await cell.fill('4.5')
  // What comes from elsewhere stays outside.
  await cell.evaluate((field) => field.dispatchEvent(new ClipboardEvent('paste', { bubbles: true, cancelable: true })))
  await expect(tablet.getByText(/Pasting is off in this work/).first()).toBeVisible()
  await tablet.getByRole('article', { name: 'Question 1' }).getByRole('button', { name: 'This order is right' }).click()
  await kept(tablet)
  await tablet.reload()
  await expect(tablet.getByRole('article', { name: 'Question 2' }).getByRole('textbox').first()).toHaveValue('4.5')

  // Part by part to the end.
  while (await tablet.getByRole('button', { name: 'Go on' }).isVisible()) {
    await tablet.getByRole('button', { name: 'Go on' }).click()
    await tablet.getByRole('main').getByRole('button', { name: 'Go on' }).click()
    await expect(tablet.getByRole('article').first()).toBeVisible()
  }
  await tablet.getByRole('button', { name: 'Look over' }).click()
  await tablet.getByRole('button', { name: 'Hand in' }).click()
  await expect(tablet.getByText(/Marks come when everybody is done\./)).toBeVisible()
  await expect(tablet.getByRole('status').filter({ hasText: 'Partly right' }).first()).toBeVisible()
  await expect(tablet.getByText(/ of \d+ marks?$/)).toHaveCount(0)

  // All are done: marks are told at once on what lies open.
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  const sure = page.getByRole('alertdialog').getByRole('button', { name: /^Close/ })
  await sure.click()
  await expect(tablet.getByText(/ of \d+ marks?$/).first()).toBeVisible()
  await expect(tablet.getByText('Key', { exact: true })).toHaveCount(0)
})
