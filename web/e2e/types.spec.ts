import { expect, test } from '@playwright/test'
import { axeClean, classOfOne, handTo, join, kept, onPhone, signIn } from './acts'

test('a question of each kind is written on its sheet, by keys', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  const save = async (title: string) => {
    await page.getByLabel('Title, for the team').fill(title)
    await page.keyboard.press('Control+s')
    await expect(page).toHaveURL(/\/bank\/[0-9a-f-]{36}$/)
    await expect(page.getByText('Worth a look').or(page.getByText('blocks'))).toHaveCount(0)
  }

  await page.goto('/bank/new/order')
  await page.getByLabel('Prompt').fill('From high water to low')
  for (const i of [1, 2, 3]) {
    await page.getByLabel(`Text of step ${i}`, { exact: true }).fill(['slack', 'ebb', 'low water'][i - 1] ?? '')
  }
  await axeClean(page)
  await save('Order by keys')

  await page.goto('/bank/new/match')
  await page.getByLabel('Prompt').fill('Which side?')
  await page.getByLabel('Next pair').fill('red can = to port')
  await page.getByLabel('Next pair').press('Enter')
  await page.getByLabel('Next pair').fill('green cone = to starboard')
  await page.getByLabel('Next pair').press('Enter')
  await expect(page.getByLabel('Where thing 2 belongs')).toContainText('to starboard')
  await axeClean(page)
  await save('Pairs by keys')

  await page.goto('/bank/new/gaps')
  await page.getByLabel('Prompt').fill('Fill the gaps.')
  await page.getByRole('textbox', { name: 'Passage' }).fill('After high water comes the [ebb]. It falls [3.1 m].')
  await expect(page.getByText('Gap 2: 3.1 m, a number')).toBeVisible()
  await axeClean(page)
  await save('Gaps by keys')

  await page.goto('/bank/new/table')
  await page.getByLabel('Prompt').fill('Fill the table.')
  await page.getByLabel('Row 1, column 1').fill('Hour')
  await page.getByLabel('Row 2, column 2').fill('=3.5')
  await axeClean(page)
  await save('Table by keys')

  await page.goto('/bank/new/expression')
  await page.getByLabel('Prompt').fill('Write it without brackets.')
  await page.getByLabel('Text of expression 1').fill('x^2 + 2x + 1')
  await axeClean(page)
  await save('Expression by keys')
})

test('a worksheet of five kinds is sat on a phone, and everything that is right counts', async ({ page, browser }) => {
  await signIn(page, 'Maren Ostrander')
  const one = await classOfOne(page, '8 Gannet', 'Ada Wren')
  const handout = await handTo(page, one.id, 'Worksheet')

  const phone = await onPhone(browser)
  await join(phone, one.code, 'Ada Wren', one.pin)
  await phone.getByRole('button', { name: 'Begin' }).click()
  const next = () => phone.getByRole('button', { name: 'Next' }).click()
  // The curve stands above the first of its questions, open.
  await expect(phone.getByRole('button', { name: /One tide at Kelpwick/ })).toHaveAttribute('aria-expanded', 'true')

  // In order: each is brought up past those that stand above it.
  const steps = [
    'the level hardly moves',
    'one twelfth has gone',
    'it falls fastest',
    'a quarter is left to fall',
    'slack water',
  ]
  const list = phone.getByRole('group', { name: /Your order/ }).getByRole('listitem')
  for (const [place, step] of steps.entries()) {
    while (!(await list.nth(place).textContent())?.includes(step))
      await phone.getByRole('button', { name: `${step} up` }).click()
  }
  const keep = phone.getByRole('button', { name: 'This order is right' })
  if (await keep.count()) await keep.click()
  await kept(phone)
  await axeClean(phone)
  await next()

  const cell = (label: string) => phone.getByLabel(label, { exact: true })
  await cell('Height in m, 1').fill('4.5')
  await cell('Twelfths fallen, 2').fill('3')
  await cell('Twelfths fallen, 2').press('Enter')
  await expect(cell('Height in m, 2')).toBeFocused()
  await cell('Height in m, 2').fill('3.9')
  await cell('Twelfths fallen, 3').fill('6')
  await cell('Height in m, 3').fill('3 ')
  await kept(phone)
  await axeClean(phone)
  await next()

  for (const [i, text] of ['ebb', 'Spring', '4.6', 'neap tides'].entries())
    await phone.getByLabel(`Gap ${i + 1} of 4`).fill(text)
  await kept(phone)
  await axeClean(phone)
  await phone.getByRole('button', { name: 'Go on' }).click()
  await expect(phone.getByText('You cannot come back to this part once you go on.')).toBeVisible()
  await phone.getByRole('button', { name: 'Go on' }).click()

  const bring = async (thing: string, place: string) => {
    await phone.getByRole('button', { name: thing, exact: true }).click()
    await phone.getByRole('button', { name: `Put it in ${place}` }).click()
  }
  await bring('red can', 'to starboard, on the right')
  await phone.getByRole('button', { name: /Take red can out/ }).click()
  await bring('red can', 'to port, on the left')
  await bring('red light, flashing', 'to port, on the left')
  await bring('green cone', 'to starboard, on the right')
  await bring('green light, flashing', 'to starboard, on the right')
  await kept(phone)
  await axeClean(phone)
  await next()
  // As it is written by hand.
  await phone.locator('math-field').click()
  // Fast, as one types who knows what to write.
  await phone.keyboard.type('h+c', { delay: 15 })
  await kept(phone)
  await axeClean(phone)

  // Another device goes on with all of it.
  const other = await onPhone(browser)
  await join(other, one.code, 'Ada Wren', one.pin)
  await other.getByRole('button', { name: 'Go on' }).click()
  await expect(other.locator('math-field')).toHaveJSProperty('value', 'h+c')
  await other.getByRole('button', { name: 'Type it in a line' }).click()
  await expect(other.getByLabel(/Your answer to/)).toHaveValue('h+c')
  await other.close()

  await phone.getByRole('button', { name: 'Look over' }).click()
  await phone.getByRole('button', { name: 'Hand in' }).click()
  await expect(phone.getByText('14 of 14')).toBeVisible()
  await axeClean(phone)

  await page.goto(`/results/${handout}`)
  await expect(page.getByRole('row', { name: /The tide in words/ })).toContainText('1.00')
  const { questions } = await (await page.request.get(`/api/handouts/${handout}/results`)).json()
  expect(questions.map((q: { facility: { value: number } }) => q.facility.value)).toEqual([1, 1, 1, 1, 1])
})
