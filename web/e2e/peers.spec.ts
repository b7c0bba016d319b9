import { expect, test } from '@playwright/test'
import { axeClean, join, onPhone, pickFrom, signIn } from './acts'

test('a class is asked for questions; one is written on a phone, answered by another, and let into the bank', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Suvi Tamarin')
  const headers = { 'X-Chalk-Ladder': '1' }
  const named = `8 Plover ${Date.now() % 100_000}`
  const { id } = await (await page.request.post('/api/classes', { data: { name: named }, headers })).json()
  await page.request.post(`/api/classes/${id}/roster`, { data: { text: 'Ada Reef\nBo Marrow' }, headers })
  const { code, students } = await (await page.request.get(`/api/classes/${id}`)).json()
  const pin = async (name: string) => {
    const { id: student } = students.find((s: { name: string }) => s.name === name)
    return (await (await page.request.post(`/api/classes/${id}/students/${student}/pin`, { headers })).json()).pin
  }

  await page.getByRole('link', { name: 'By students' }).click()
  await page.getByRole('button', { name: 'Ask a class' }).first().click()
  const dialog = page.getByRole('dialog')
  await pickFrom(dialog.getByLabel('Class'), named)
  await dialog.getByLabel('What are the questions to be about?').fill('Buoys by night')
  await dialog.getByRole('button', { name: `Ask ${named}` }).click()
  await expect(page.getByRole('heading', { name: /Buoys by night/ })).toBeVisible()

  const ada = await onPhone(browser)
  await join(ada, code, 'Ada Reef', await pin('Ada Reef'))
  await ada.getByRole('link', { name: 'Buoys by night: write and answer' }).click()
  await ada.getByLabel('What do you ask?').fill('Which light means danger ahead?')
  await ada.getByLabel('Answer A, the right one').fill('two white flashes')
  await ada.getByLabel('Answer B', { exact: true }).fill('one green flash')
  await ada.getByLabel('Why would somebody take it?').first().fill('Thinks green warns')
  await ada.reload()
  await expect(ada.getByLabel('What do you ask?')).toHaveValue('Which light means danger ahead?')
  await ada.getByRole('button', { name: 'Send it to your teacher' }).click()
  await expect(ada.getByText('✕ Write this option, or take it out.')).toBeVisible()
  await expect(ada.getByLabel('Answer C', { exact: true })).toBeFocused()
  await axeClean(ada)
  await ada.getByRole('button', { name: 'Take answer C out' }).click()
  await ada.getByRole('button', { name: 'Send it to your teacher' }).click()
  await expect(ada.getByText('Your teacher reads it.')).toBeVisible()

  // It comes in by itself.
  await expect(page.getByRole('article', { name: 'The question of Ada Reef' })).toBeVisible({ timeout: 15_000 })
  await axeClean(page)
  const bo = await onPhone(browser)
  await join(bo, code, 'Bo Marrow', await pin('Bo Marrow'))
  await bo.goto('/my/questions')
  await expect(bo.getByText('Buoys by night')).toBeVisible()
  await expect(bo.getByText('Which light means danger ahead?')).toHaveCount(0)
  await page.getByRole('button', { name: /^Show it to/ }).click()
  await expect(page.getByText(`${named} may answer it now.`, { exact: true })).toBeVisible()
  const [answer] = await Promise.all([bo.waitForResponse('**/api/me/invitations'), bo.reload()])
  expect(await answer.text()).not.toContain('Thinks green warns')
  const asked = bo.getByRole('article', { name: 'A question of your class' })
  await asked.getByText('one green flash').click()
  await asked.getByRole('button', { name: 'Answer' }).click()
  await expect(asked).toContainText('“Thinks green warns”')
  await axeClean(bo)

  await expect(page.getByText('0 of 1 student took the right one', { exact: false })).toBeVisible({ timeout: 15_000 })
  await page.getByLabel('Name Ada Reef with it').click()
  await page.keyboard.press('l')
  await page.getByRole('link', { name: 'Improve it there' }).click()
  await expect(page.getByText(`Ada Reef, ${named}`)).toBeVisible()
  await expect(page.getByLabel('Feedback for option B')).toHaveValue('Thinks green warns')
})
