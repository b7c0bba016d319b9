import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'

const signIn = async (page: Page) => {
  await page.goto('/bank')
  await page.getByRole('button', { name: /Maren Ostrander/ }).click()
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible()
}
const clean = async (page: Page) =>
  expect(
    (await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze()).violations.map(
      (v) => `${v.id}: ${v.nodes[0]?.html}`,
    ),
  ).toEqual([])

test('the main staff screens are clean for axe', async ({ page }) => {
  await signIn(page)
  for (const stage of ['Bank', 'Papers', 'Classes', 'Handouts', 'Lookout', 'Marking', 'Results', 'Groups']) {
    await page
      .getByRole('navigation', { name: 'Stages' })
      .getByRole('link', { name: new RegExp(`^${stage}`) })
      .click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText(stage)
    await page.waitForLoadState('networkidle')
    await clean(page)
  }
})

test('a student joins on a phone, answers, loses nothing by a reload, and the Lookout sees it', async ({
  page,
  browser,
}) => {
  const [, code = '', name = '', pin = ''] =
    /8 Heron\s+code (\w+) · (.+) · PIN (\d+)/.exec(process.env.CHALK_ACCOUNTS ?? '') ?? []
  await signIn(page)
  await page.getByRole('link', { name: 'Lookout' }).click()
  await page.getByRole('link', { name: /Heights of tide/ }).click()
  await expect(page.getByText('live', { exact: true })).toBeVisible()

  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await phone.goto(`/join?code=${code}`)
  await clean(phone)
  await phone.getByLabel('Your name').fill(name)
  await phone.getByLabel('PIN').fill(pin)
  await phone.getByRole('button', { name: 'Join' }).click()
  await phone.getByRole('button', { name: 'Begin' }).click()
  await phone.locator('label', { hasText: '3.8 m' }).click()
  await expect(phone.getByRole('status').first()).toContainText('kept')
  await clean(phone)
  await phone.reload()
  await expect(phone.getByRole('radio', { checked: true })).toHaveCount(1)
  await phone.getByRole('button', { name: 'Check' }).click()
  await expect(phone.getByText('Right', { exact: true })).toBeVisible()
  await expect(
    page.getByRole('row', { name: new RegExp(name) }).getByRole('img', { name: 'right', exact: true }),
  ).toBeVisible()
})
