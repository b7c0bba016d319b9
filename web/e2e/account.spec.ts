import { expect, test } from '@playwright/test'
import { axeClean, classOfOne, join, onPhone, signIn } from './acts'

test('a student takes an account, comes in by it elsewhere, and a new PIN shuts it', async ({ browser, page }) => {
  await signIn(page, 'Maren Ostrander')
  const one = await classOfOne(page, '8 Knot', 'Runa Sallow')
  const phone = await onPhone(browser)
  await join(phone, one.code, 'Runa Sallow', one.pin)
  await phone.getByRole('link', { name: 'An account of your own' }).click()
  await phone.getByLabel('Name').fill('runa-at-sea')
  await phone.getByLabel('Password').fill('low water 1')
  await phone.getByLabel('PIN').fill(one.pin)
  await axeClean(phone)
  await phone.getByRole('button', { name: 'Take this account' }).click()
  await expect(phone.getByText('You come in as')).toContainText('runa-at-sea')
  await axeClean(phone)

  const elsewhere = await onPhone(browser)
  const comeIn = async () => {
    await elsewhere.getByRole('button', { name: 'I have an account of my own' }).click()
    await elsewhere.getByLabel('Name of your account').fill('Runa-at-sea')
    await elsewhere.getByLabel('Password').fill('low water 1')
    await elsewhere.getByRole('button', { name: 'Join', exact: true }).click()
  }
  await elsewhere.goto('/join')
  await comeIn()
  await expect(elsewhere.getByRole('heading', { level: 1 })).toHaveText('Runa Sallow')

  await page.goto(`/classes/${one.id}`)
  await expect(page.getByRole('row', { name: /Runa Sallow/ })).toContainText('own account')
  await page.getByRole('button', { name: 'New PIN for Runa Sallow' }).click()
  await expect(page.getByRole('dialog')).toContainText('Their own account is closed too')
  await elsewhere.goto('/my')
  await comeIn()
  await expect(elsewhere.getByRole('alert')).toContainText('Name and password do not fit together.')
  await axeClean(elsewhere)
})
