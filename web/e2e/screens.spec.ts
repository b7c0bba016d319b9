import { expect, test, type Locator } from '@playwright/test'
import { axeClean, join, kept, onPhone, signIn, stage } from './acts'

test('the main staff screens are clean for axe', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  for (const name of ['Bank', 'Papers', 'Classes', 'Handouts', 'Lookout', 'Marking', 'Results', 'Groups']) {
    await stage(page, name)
    await page.waitForLoadState('networkidle')
    await axeClean(page)
  }
  await stage(page, 'Marking')
  await page.getByRole('button', { name: 'Return Five-minute check: tides' }).click()
  await expect(page.getByRole('button', { name: 'Return to 78 students' })).toBeVisible()
  await axeClean(page)
  await page.keyboard.press('Escape')
})

test('the trail tells what was changed, and takes an archived paper back', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Papers')
  const row = page.getByRole('row').filter({ hasText: 'Further out' })
  await row.click()
  await page.getByRole('button', { name: 'Archive Further out' }).click()
  await expect(row).toHaveCount(0)
  await page.getByRole('button', { name: 'Account of Maren Ostrander' }).click()
  await page.getByRole('menuitem', { name: 'Trail: who changed what' }).click()
  await expect(page.getByText('Maren Ostrander archived the paper Further out')).toBeVisible()
  await axeClean(page)
  await page.getByRole('button', { name: 'Take back: archived the paper Further out' }).click()
  await expect(page.getByText('Maren Ostrander restored the paper Further out')).toBeVisible()
  await stage(page, 'Papers')
  await expect(row).toHaveCount(1)
})

test('every view of the results is clean for axe, and so are rehearsal and second marking', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Results')
  await page.getByRole('link', { name: /End of unit/ }).click()
  await expect(page.getByText('mean of 18')).toBeVisible()
  for (const view of [
    'Confusions',
    'Misconceptions',
    'Students',
    'Skills',
    'Pace',
    'Classes',
    'Change',
    'Map',
    'Markers',
  ]) {
    await page.getByRole('tab', { name: view, exact: true }).click()
    await page.waitForLoadState('networkidle')
    await axeClean(page)
  }
  // The demo's two markers agree on the cause and not on the evidence.
  await expect(page.getByRole('row', { name: /^Evidence/ })).toContainText('63 %')
  await page.getByRole('link', { name: 'Mark more' }).click()
  await expect(page.getByText('0 of 27 marked')).toBeVisible()
  await axeClean(page)
  await page.keyboard.press('0')
  await page.keyboard.press('0')
  await page.keyboard.press('Enter')
  await expect(page.getByText('1 of 27 marked')).toBeVisible()

  await stage(page, 'Papers')
  await page.getByRole('link', { name: /Heights of tide/ }).click()
  await page.getByRole('button', { name: /Rehearse/ }).click()
  await expect(page.getByRole('heading', { name: 'Which way do they go?' })).toBeVisible()
  await axeClean(page)
})

test('a second tab and a reload go on with the same answers, and the Lookout sees them', async ({ page, browser }) => {
  const [, code = '', name = '', pin = ''] =
    /8 Heron\s+code (\w+) · (.+) · PIN (\d+)/.exec(process.env.CHALK_ACCOUNTS ?? '') ?? []
  await signIn(page, 'Maren Ostrander')
  await stage(page, 'Lookout')
  await page.getByRole('link', { name: /Heights of tide/ }).click()
  await expect(page.getByText('live', { exact: true })).toBeVisible()

  const phone = await onPhone(browser)
  await phone.goto('/join')
  await axeClean(phone)
  await join(phone, code, name, pin)
  await axeClean(phone)
  await phone.getByRole('button', { name: 'Begin' }).click()
  await phone.locator('label', { hasText: '3.8 m' }).click()
  await kept(phone)
  const tab = await phone.context().newPage()
  await tab.setViewportSize({ width: 390, height: 844 })
  await tab.goto(phone.url())
  await expect(tab.getByRole('radio', { checked: true })).toHaveCount(1)
  await phone.reload()
  await expect(phone.getByRole('radio', { checked: true })).toHaveCount(1)
  await phone.getByRole('button', { name: 'Check' }).click()
  await expect(phone.getByText('Right', { exact: true })).toBeVisible()
  await expect(
    page.getByRole('row', { name: new RegExp(name) }).getByRole('img', { name: 'right', exact: true }),
  ).toBeVisible()
})

test('at 200 % zoom and on a phone every desk shows what it is for', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  for (const size of [
    { width: 640, height: 400 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size)
    // In view, not cut off by what stands around it.
    const inView = async (what: Locator) => {
      await what.scrollIntoViewIfNeeded()
      await expect(what).toBeInViewport()
    }
    await stage(page, 'Bank')
    // Other journeys have written questions since, which stand first; a long list draws only what is near.
    await page.getByLabel('Search').fill('Slack water')
    await inView(page.getByRole('row', { name: /Slack water/ }))
    await axeClean(page)
    await stage(page, 'Results')
    await page.getByRole('link', { name: /Five-minute/ }).click()
    await inView(page.getByRole('row', { name: /Slack water/ }))
    await axeClean(page)
    await stage(page, 'Marking')
    await page.getByRole('link', { name: /Why springs follow the moon/ }).click()
    await inView(page.getByRole('article', { name: 'The answer at hand' }))
    await inView(page.getByRole('button', { name: 'Keep and next' }))
    await axeClean(page)
    await stage(page, 'Papers')
    await page.getByRole('link', { name: 'Heights of tide' }).click()
    await inView(page.getByText('What is the range of the tide?').first())
    await axeClean(page)
  }
})
