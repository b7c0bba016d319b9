import { expect, test } from '@playwright/test'
import { axeClean, signIn } from './acts'

/** A class from a pasted list: put right, grouped, moved, brought back, and its code on the wall. */
test('a class is made from a list as it was pasted', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  await page.goto('/classes')
  await expect(page.getByRole('link', { name: '8 Heron' })).toBeVisible()
  await page.keyboard.press('n')
  await page.getByRole('dialog').getByLabel('Name').fill('8 Whimbrel')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: '8 Whimbrel' })).toBeVisible()
  await page.keyboard.press('a')
  const dialog = page.getByRole('dialog')
  await dialog
    .getByLabel('Names, one a line, or CSV')
    .fill('Reef, Ada\n2. Marrow Bo\nCai Dunn <cai@harbour.example>\n42\nCai Dunn')
  await dialog.getByRole('button', { name: 'Look at the list' }).click()
  await expect(dialog.getByRole('button', { name: 'Add 3 students' })).toBeVisible()
  await dialog.getByLabel('Name in line 2').fill('Bo Marrow')
  await dialog.getByLabel('Name in line 4').fill('Dee Holm')
  await dialog.getByLabel('Name in line 4').press('Enter')
  await expect(dialog.getByRole('button', { name: 'Add 4 students' })).toBeVisible()
  await axeClean(page)
  await dialog.getByRole('button', { name: 'Add 4 students' }).click()
  for (const name of ['Ada Reef', 'Bo Marrow', 'Cai Dunn', 'Dee Holm'])
    await expect(page.getByRole('cell', { name, exact: true })).toBeVisible()

  await page.getByRole('button', { name: 'New group' }).click()
  await dialog.getByLabel('Name').fill('Window side')
  await dialog.getByRole('checkbox', { name: 'Bo Marrow' }).click()
  await dialog.getByRole('button', { name: 'Make the group' }).click()
  await expect(page.getByRole('row', { name: /Bo Marrow Window side/ })).toBeVisible()

  await page.getByRole('button', { name: 'More for Bo Marrow' }).click()
  await page.getByRole('menuitem', { name: 'To another class' }).click()
  await dialog.getByLabel('To').click()
  await page.getByRole('option', { name: '8 Heron' }).click()
  await dialog.getByRole('button', { name: 'Move to 8 Heron' }).click()
  await expect(page.getByRole('cell', { name: 'Bo Marrow', exact: true })).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('row', { name: /Bo Marrow Window side/ })).toBeVisible()

  const wall = page.waitForEvent('popup')
  await page.getByRole('button', { name: 'On the wall' }).click()
  const shown = await wall
  await expect(shown.getByRole('heading', { name: '8 Whimbrel' })).toBeVisible()
  await expect(shown.getByRole('img', { name: /QR code/ })).toBeVisible()
  await expect(shown.getByText('Bo Marrow')).toHaveCount(0)
  await axeClean(shown)
})
