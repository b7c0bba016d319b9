import { expect, test, type Locator, type Page } from '@playwright/test'
import { classOfOne, onPhone } from './acts'

const MOST_TABS = 80

/** Goes to a control as somebody without a mouse does, and finds it within reach. */
async function reach(page: Page, control: Locator) {
  await expect(control).toBeVisible()
  for (let i = 0; i < MOST_TABS; i++) {
    if (await control.evaluate((el) => el === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  await expect(control).toBeFocused()
}
async function press(page: Page, control: Locator, key = 'Enter') {
  await reach(page, control)
  await page.keyboard.press(key)
}
/** Options are one stop: Tab goes to them, arrows through them, and the one that is stood on is taken. */
async function take(page: Page, option: Locator) {
  await expect(option).toBeVisible()
  const onRadio = () => page.evaluate(() => document.activeElement?.getAttribute('type') === 'radio')
  for (let i = 0; i < MOST_TABS && !(await onRadio()); i++) await page.keyboard.press('Tab')
  await page.keyboard.press(' ')
  for (let i = 0; i < 12 && !(await option.isChecked()); i++) await page.keyboard.press('ArrowDown')
  await expect(option).toBeChecked()
}
const heading = (page: Page) => page.getByRole('heading', { level: 1 })

test('from the bank to regrouped students without a mouse', async ({ page, browser }) => {
  await page.goto('/bank')
  await expect(page.getByLabel('E-mail address')).toBeFocused()
  await page.keyboard.type('maren@demo.example')
  await page.keyboard.press('Tab')
  await page.keyboard.type('high-water')
  await page.keyboard.press('Enter')
  await expect(heading(page)).toHaveText('Bank')

  // Find a question, read it, go back.
  await page.keyboard.press('/')
  await page.keyboard.type('slack water')
  const found = page.getByRole('rowheader').getByRole('link', { name: 'Slack water' })
  await press(page, found)
  await expect(heading(page)).toHaveText('Slack water')
  await page.keyboard.press('F2')
  await page.keyboard.press('Escape')
  await expect(heading(page)).toHaveText('Bank')

  // Compose, publish, hand out.
  const slip = await classOfOne(page, '8 Gull', 'Wren Otto')
  await page.keyboard.press('Alt+2')
  await expect(heading(page)).toHaveText('Papers')
  await page.keyboard.press('n')
  const title = page.getByRole('region', { name: 'Outline' }).getByLabel('Title')
  await reach(page, title)
  await page.keyboard.press('Control+a')
  await page.keyboard.type('By keys alone')
  await press(page, page.getByRole('button', { name: /^From the bank/ }))
  const bank = page.getByRole('dialog')
  for (const question of ['Range of the tide', 'Which hour runs fastest?']) {
    await reach(page, bank.getByRole('searchbox'))
    await page.keyboard.press('Control+a')
    await page.keyboard.type(question.slice(0, 14))
    await press(page, bank.getByRole('checkbox', { name: new RegExp(`^${question.replace('?', '\\?')}`) }), ' ')
  }
  await press(page, bank.getByRole('button', { name: /^Take 2/ }))
  await expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible()
  await press(page, page.getByRole('button', { name: 'Publish edition 1' }))
  await press(page, page.getByRole('link', { name: 'Hand out' }))
  await press(page, page.getByRole('checkbox', { name: /^8 Gull/ }), ' ')
  await press(page, page.getByRole('button', { name: 'Hand out to 1 class' }))
  await expect(page.getByText('0 joined of 1')).toBeVisible()

  // Sit it, on a device without a touch screen.
  const desk = await onPhone(browser)
  await desk.goto(`/join?code=${slip.code}`)
  await expect(desk.getByLabel('Your name')).toBeFocused()
  await desk.keyboard.type('Wren Otto')
  await desk.keyboard.press('Tab')
  await desk.keyboard.type(slip.pin)
  await desk.keyboard.press('Enter')
  await press(desk, desk.getByRole('button', { name: 'Begin' }))
  await take(desk, desk.getByRole('radio', { name: /3\.8 m/ }))
  await press(desk, desk.getByRole('button', { name: 'Next' }))
  await take(desk, desk.getByRole('radio', { name: /the same in every hour/ }))
  await press(desk, desk.getByRole('button', { name: 'Look over' }))
  await press(desk, desk.getByRole('button', { name: 'Hand in' }))
  await expect(desk.getByRole('heading', { name: 'Handed in' })).toBeVisible()

  // Watch, close, read.
  await expect(page.getByText('1 handed in')).toBeVisible()
  await press(page, page.getByRole('button', { name: 'Close' }))
  await press(page, page.getByRole('alertdialog').getByRole('button', { name: /^Close/ }))
  await expect(page.getByRole('button', { name: 'Open again' })).toBeVisible()
  await press(page, page.getByRole('main').getByRole('button', { name: 'Results' }))
  await expect(page.getByRole('row', { name: /Range of the tide/ })).toContainText('1.00')

  // Regroup a class that has sat more.
  await page.keyboard.press('Alt+7')
  await expect(heading(page)).toHaveText('Results')
  await reach(page, page.getByRole('rowheader').getByRole('link').first())
  const check = page.getByRole('rowheader').getByRole('link', { name: 'Five-minute check: tides' })
  for (let i = 0; i < 12 && !(await check.evaluate((el) => el === document.activeElement)); i++)
    await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(heading(page)).toHaveText('Five-minute check: tides')
  await page.keyboard.press('r')
  await expect(heading(page)).toHaveText('Regroup')
  await reach(page, page.locator('[data-roving][tabindex="0"]').first())
  const moved = await page.locator(':focus').getAttribute('data-roving')
  await page.keyboard.press('Alt+ArrowRight')
  await expect(page.getByText(/ is in “.+” now\./)).toHaveCount(1)
  await expect(page.locator(':focus')).toHaveAttribute('data-roving', moved ?? '')
  await press(page, page.getByRole('button', { name: 'Keep this grouping' }))
  await expect(page).toHaveURL(/\/groups\/[0-9a-f-]{36}/)
})

test('a mastery rule is set, proved and climbed without a mouse', async ({ page, browser }) => {
  await page.goto('/papers')
  await expect(page.getByLabel('E-mail address')).toBeFocused()
  await page.keyboard.type('maren@demo.example')
  await page.keyboard.press('Tab')
  await page.keyboard.type('high-water')
  await page.keyboard.press('Enter')
  await expect(heading(page)).toHaveText('Papers')
  const slip = await classOfOne(page, '8 Dunlin', 'Sorrel Vance')
  await page.keyboard.press('n')
  const title = page.getByRole('region', { name: 'Outline' }).getByLabel('Title')
  await reach(page, title)
  await page.keyboard.press('Control+a')
  await page.keyboard.type('Climbed by keys')
  await press(page, page.getByRole('button', { name: /^From the bank/ }))
  const bank = page.getByRole('dialog')
  await reach(page, bank.getByRole('searchbox'))
  await page.keyboard.type('Range of the tide')
  await press(page, bank.getByRole('checkbox', { name: /^Range of the tide/ }).first(), ' ')
  await press(page, bank.getByRole('button', { name: /^Take 1/ }))

  // The rule: until its skill is right twice in a row.
  await press(page, page.getByRole('checkbox', { name: 'Missed questions come back' }), ' ')
  await press(page, page.getByRole('combobox', { name: 'Until' }), 'ArrowDown')
  const options = page.getByRole('listbox').getByRole('option')
  await expect(options.first()).toBeVisible()
  for (
    let i = 0;
    i < 8 &&
    !(await page
      .getByRole('option', { name: /so many right in a row/ })
      .evaluate((el) => el === document.activeElement));
    i++
  )
    await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  const row = page.getByLabel('Right in a row')
  await reach(page, row)
  await page.keyboard.press('Control+a')
  await page.keyboard.type('2')
  await expect(page.getByText(/A skill counts as shown with 2 right in a row/)).toBeVisible()
  await expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible()
  // The proof knows that one question with the same numbers is right once only, and does not stand in the way.
  await expect(page.getByText(/can never count as shown: it takes 2 right answers/).first()).toBeVisible()
  await press(page, page.getByRole('button', { name: 'Publish edition 1' }))
  await press(page, page.getByRole('link', { name: 'Hand out' }))
  await press(page, page.getByRole('checkbox', { name: /^8 Dunlin/ }), ' ')
  await press(page, page.getByRole('button', { name: 'Hand out to 1 class' }))
  await expect(page.getByText('0 joined of 1')).toBeVisible()

  // Missed once, so it comes back; then right, and once more.
  const desk = await onPhone(browser)
  await desk.goto(`/join?code=${slip.code}`)
  await expect(desk.getByLabel('Your name')).toBeFocused()
  await desk.keyboard.type('Sorrel Vance')
  await desk.keyboard.press('Tab')
  await desk.keyboard.type(slip.pin)
  await desk.keyboard.press('Enter')
  await press(desk, desk.getByRole('button', { name: 'Begin' }))
  await expect(desk.getByText(/2 more right in a row/)).toBeVisible()
  await take(desk, desk.getByRole('radio', { name: /5\.4 m/ }))
  await press(desk, desk.getByRole('button', { name: 'Go on' }))
  await press(desk, desk.getByRole('button', { name: 'Go on' }))
  await expect(desk.getByText('once more, try 2')).toBeVisible()
  await take(desk, desk.getByRole('radio', { name: /3\.8 m/ }))
  await press(desk, desk.getByRole('button', { name: 'Go on' }))
  await press(desk, desk.getByRole('button', { name: 'Go on' }))
  await expect(heading(desk)).toHaveText('You have reached the end')
  await expect(desk.getByRole('listitem').filter({ hasText: 'Range of the tide' })).toContainText('1 more right answer')
  await press(desk, desk.getByRole('button', { name: 'Hand in' }))
  await expect(heading(desk)).toHaveText('Handed in')
})
