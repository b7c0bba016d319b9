import { expect, test } from '@playwright/test'
import { axeClean, classOfOne, handTo, join, kept, onPhone, pickFrom, signIn } from './acts'

test('support is given on the roster, is there at work and in a preview, and the results say what it left out', async ({
  browser,
  page,
}) => {
  await signIn(page, 'Maren Ostrander')
  const one = await classOfOne(page, '8 Turnstone', 'Linnea Voss')
  await page.goto(`/classes/${one.id}`)
  await page.getByRole('button', { name: 'Support for Linnea Voss' }).click()
  for (const what of [/Reads out/, /largest letters/, /few lines/])
    await page.getByRole('checkbox', { name: what }).check()
  await pickFrom(page.getByRole('combobox', { name: 'Options to pick one from' }), 'one wrong one less')
  await axeClean(page)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('button', { name: 'Support for Linnea Voss, given' })).toBeVisible()

  const handout = await handTo(page, one.id, 'Watching: the tide pole')
  const phone = await onPhone(browser)
  await join(phone, one.code, 'Linnea Voss', one.pin)
  await phone.getByRole('button', { name: 'Begin' }).click()
  await expect(phone.getByRole('button', { name: 'Read it to me' })).toBeVisible()
  await expect(phone.getByRole('button', { name: 'Smallest text' })).toBeVisible()
  const band = phone.getByRole('slider', { name: /light band/ })
  await band.focus()
  await phone.keyboard.press('PageDown')
  await phone.getByRole('button', { name: 'Light the whole page' }).click()
  await axeClean(phone)

  // The film stops where the first question has seen enough, and nobody skips ahead.
  const film = phone.locator('video')
  await expect.poll(() => film.evaluate((v: HTMLVideoElement) => v.readyState)).toBeGreaterThan(1)
  await film.evaluate((v: HTMLVideoElement) => void (v.currentTime = 20))
  await expect(phone.getByText(/You have played it up to 0:00/).first()).toBeVisible()
  await film.evaluate((v: HTMLVideoElement) => v.play())
  await expect(phone.getByText('Stopped for question 1.').last()).toBeVisible()
  await phone.getByLabel(/^Your answer to question 1/).fill('0.3 m')
  await phone.getByRole('button', { name: 'Next' }).click()
  await expect(phone.getByRole('radio')).toHaveCount(3)
  await phone.getByText('the third hour').click()
  await kept(phone)
  await phone.getByRole('button', { name: 'Look over' }).click()
  await phone.getByRole('button', { name: 'Hand in' }).click()
  await expect(phone.getByRole('heading', { name: 'Handed in' })).toBeVisible()

  await page.goto(`/results/${handout}?view=students`)
  await expect(page.getByRole('row', { name: /Linnea Voss/ })).toContainText('1 wrong option less to pick from')
  await page.goto(`/results/${handout}?view=pace`)
  const watched = page.getByRole('region', { name: /tide pole/ })
  await expect(watched.getByRole('row', { name: /Linnea Voss/ })).toContainText('17 %')
  await axeClean(page)

  await page.goto('/papers')
  await page.getByRole('link', { name: 'Watching: the tide pole' }).click()
  await page.getByRole('button', { name: 'Preview' }).click()
  await page.getByRole('button', { name: 'Tried as anybody' }).click()
  await axeClean(page)
  await pickFrom(page.getByRole('combobox', { name: 'As whom' }), 'Linnea Voss, 8 Turnstone, with support')
  await expect(page.getByRole('button', { name: 'Tried as Linnea Voss' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Read it to me' })).toBeVisible()
})
