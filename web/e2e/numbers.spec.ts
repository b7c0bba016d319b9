import { expect, test } from '@playwright/test'
import { axeClean, classOfOne, handTo, join, kept, onPhone, signIn } from './acts'

test('a teacher writes the rule of twelfths with own numbers and four meaningful distractors, by keys alone', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Maren Ostrander')
  await page.goto('/bank/new/number')
  await page.getByLabel('Prompt').fill('High water {h} m, low water {l} m. How deep is it {t} hours after high water?')
  const variable = page.getByLabel('Next variable')
  for (const line of [
    'l = 0.4, 0.8, 1.2',
    'r = 2.4, 3.6',
    't = 1, 2, 4, 5',
    'h = l + r',
    'fall = r * at([1, 3, 6, 9, 11], t) / 12',
  ]) {
    await variable.fill(line)
    await variable.press('Enter')
  }
  await page.getByLabel('Number for value 1').fill('= h - fall')
  const next = page.getByLabel('Next value')
  for (const wrong of ['= h - r * t / 6', '= fall', '= l + fall', '= h + fall']) {
    await next.fill(wrong)
    await next.press('Enter')
  }
  await expect(page.getByText('24 combinations')).toBeVisible()
  await expect(page.getByRole('img', { name: /^key h - fall: from/ })).toBeVisible()
  await page.getByRole('button', { name: 'Add a check' }).click()
  await page.getByLabel('Next check').fill('answer < 0')
  await page.getByLabel('Next check').press('Enter')
  await page.getByLabel('Feedback for check 1').fill('You wrote {answer}: below the sea bed.')
  await axeClean(page)
  await page.getByLabel('Title, for the team').fill('Twelfths by keys')
  await page.keyboard.press('Control+s')
  await expect(page).toHaveURL(/\/bank\/[0-9a-f-]{36}$/)

  // It goes into a paper by the program; whatever numbers a student has belong together, and the check speaks to whoever
  // it is for. (That numbers differ between students is the server's test: of 24 combinations two may have the same.)
  const headers = { 'X-Chalk-Ladder': '1' }
  const paper = {
    version: 1,
    title: 'Twelfths, own numbers',
    mastery: null,
    sections: [
      {
        id: 's1',
        title: 'All',
        route: null,
        entries: [{ id: 'e1', kind: 'question', item: page.url().split('/').at(-1), points: '2' }],
      },
    ],
  }
  const made = await (await page.request.post('/api/papers', { data: { paper, version: 0 }, headers })).json()
  await page.request.post(`/api/papers/${made.id}/publish`, { data: { version: made.version }, headers })
  for (const name of ['Ida Sound', 'Noor Reach']) {
    const one = await classOfOne(page, `8 ${name}`, name)
    await handTo(page, one.id, 'Twelfths, own numbers')
    const phone = await onPhone(browser)
    await join(phone, one.code, name, one.pin)
    await phone.getByRole('button', { name: 'Begin' }).click()
    const text = (await phone.getByText(/High water/).textContent())!
    const [high, low, hours] = /High water (\S+) m, low water (\S+) m\. How deep is it (\d) hours/
      .exec(text)!
      .slice(1)
      .map(Number)
    expect(['0.4', '0.8', '1.2']).toContain(low!.toFixed(1))
    expect(['2.4', '3.6']).toContain((high! - low!).toFixed(1))
    expect([1, 2, 4, 5]).toContain(hours)
    await phone.getByLabel(/Your answer to/).fill('-1')
    await kept(phone)
    await phone.getByRole('button', { name: 'Look over' }).click()
    await phone.getByRole('button', { name: 'Hand in' }).click()
    await expect(phone.getByText('You wrote -1: below the sea bed.')).toBeVisible()
    await phone.close()
  }
})
