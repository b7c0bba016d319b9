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

/** Classes from the files of a school's own system: shown first, then taken; taken again, nothing changes. */
test('classes are taken from the school’s files', async ({ page }) => {
  const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  const files = [
    file('users.csv', 'sourcedId,givenName,familyName\ns1,Ivo,Sandpiper\ns2,Una,Marram\ns3,,\n'),
    file('classes.csv', 'sourcedId,title\nc1,8 Pratincole\n'),
    file('enrollments.csv', 'classSourcedId,userSourcedId,role\nc1,s1,student\nc1,s2,student\nc1,s7,student\n'),
  ]
  await signIn(page, 'Maren Ostrander')
  await page.goto('/classes')
  await page.getByRole('button', { name: 'From the school’s files' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('The files').setInputFiles(files)
  await expect(dialog.getByText('new class · 2 students come in')).toBeVisible()
  await dialog.getByRole('button', { name: 'What is left alone? 2 lines' }).click()
  await expect(dialog.getByText('They have no name.')).toBeVisible()
  await axeClean(page)
  await dialog.getByRole('button', { name: 'Make 3 changes' }).click()
  await expect(page.getByText('1 class made, 2 students added.').first()).toBeVisible()
  await page.getByRole('link', { name: '8 Pratincole' }).click()
  await expect(page.getByRole('cell', { name: 'Una Marram', exact: true })).toBeVisible()

  await page.goto('/classes')
  await page.getByRole('button', { name: 'From the school’s files' }).click()
  await dialog.getByLabel('The files').setInputFiles(files)
  await expect(dialog.getByText('2 stay as they are')).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Nothing changes' })).toBeDisabled()
})
