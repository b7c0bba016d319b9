import { expect, test } from '@playwright/test'
import { axeClean, classOfOne, handTo, join, kept, onPhone, pickFrom, signIn } from './acts'

test('a mastery rule is set, what follows hangs on the paper, and a student climbs it and is handed what follows', async ({
  browser,
  page,
}) => {
  await signIn(page, 'Maren Ostrander')
  const headers = { 'X-Chalk-Ladder': '1' }
  const { skills } = (await (await page.request.get('/api/bank/terms')).json()) as {
    skills: { id: string; name: string }[]
  }
  const skill = skills.find((s) => s.name === 'Rule of twelfths')!
  const made = await page.request.post('/api/items', {
    data: {
      item: {
        version: 1,
        type: 'number',
        title: 'Twice as high',
        prompt: '<p>The mark stands at {h} m. How high is twice as much?</p>',
        points: '2',
        skill: skill.id,
        hint: '',
        explanation: '',
        variables: [{ name: 'h', from: '1', to: '40', step: '1' }],
        rule: { targets: [{ value: '= 2 * h', credit: '1' }], unit: 'm', unitUse: 'optional' },
      },
    },
    headers,
  })
  const item = ((await made.json()) as { id: string }).id
  const paper = {
    version: 1,
    title: 'A short ladder',
    mastery: null,
    sections: [{ id: 's1', title: 'Rungs', route: null, entries: [{ id: 'e1', kind: 'question', item, points: '2' }] }],
  }
  const { id } = (await (await page.request.post('/api/papers', { data: { paper, version: 0 }, headers })).json()) as {
    id: string
  }

  await test.step('the rule and what follows are set on the desk, and say themselves', async () => {
    await page.goto(`/papers/${id}`)
    await page.getByLabel('Missed questions come back').check()
    await pickFrom(page.getByRole('combobox', { name: 'Until' }), 'its skill: so many right in a row')
    await page.getByLabel('Right in a row').fill('2')
    await pickFrom(
      page.getByRole('combobox', { name: 'Those with numbers of their own' }),
      'come back with other numbers',
    )
    await expect(
      page.getByText(/A skill counts as shown with 2 right in a row\. Until then .* with other numbers, at most twice/),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Add a follow-up' }).click()
    await pickFrom(page.getByRole('combobox', { name: 'Who, follow-up 1' }), /^reached climbing/)
    await pickFrom(page.getByRole('combobox', { name: 'Is handed, follow-up 1' }), /^Further out/)
    await expect(page.getByText(/saved \d/)).toBeVisible()
    await axeClean(page)
    await page.reload()
    await expect(page.getByRole('combobox', { name: 'Who, follow-up 1' })).toHaveText('reached climbing')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('combobox', { name: 'Who, follow-up 1' })).toHaveCount(0)
    await page.keyboard.press('Control+Shift+Z')
    await expect(page.getByRole('combobox', { name: 'Who, follow-up 1' })).toBeVisible()
    await expect(page.getByText(/· saved/)).toBeVisible()
    await page.getByRole('button', { name: /Publish edition/ }).click()
    await expect(page.getByRole('link', { name: 'Hand out' })).toBeVisible()
  })

  await test.step('a student climbs it: missed, then right with other numbers, then shown', async () => {
    const one = await classOfOne(page, '8 Ladder', 'Runa Fell')
    await handTo(page, one.id, 'A short ladder')
    const phone = await onPhone(browser)
    await join(phone, one.code, 'Runa Fell', one.pin)
    await phone.getByRole('button', { name: 'Begin' }).click()
    const mark = async () =>
      Number(/stands at (\d+) m/.exec((await phone.getByText(/stands at/).textContent()) ?? '')?.[1] ?? NaN)
    await expect(phone.getByText('Rule of twelfths: 2 more right in a row')).toBeVisible()
    const seen = [await mark()]
    for (const [n, factor] of [1, 2, 2].entries()) {
      await phone.getByLabel(/Your answer to/).fill(String(seen[n]! * factor))
      await kept(phone)
      await phone
        .getByRole('button', { name: 'Go on' })
        .or(phone.getByRole('button', { name: 'Look over' }))
        .click()
      await expect(phone.getByText('What you have shown').or(phone.getByText(/A skill counts as shown/))).toBeVisible()
      await phone.getByRole('button', { name: /^(Go on|Hand in)$/ }).click()
      if (n < 2) {
        await expect(phone.getByText(`once more, try ${n + 2}`)).toBeVisible()
        await expect(phone.getByText(n === 0 ? /2 more right in a row/ : /1 more right answer/)).toBeVisible()
        seen.push(await mark())
      }
    }
    expect(new Set(seen).size, 'other numbers, each time one of forty').toBeGreaterThan(1)
    if (await phone.getByRole('heading', { name: 'You have reached the end' }).count()) {
      await expect(phone.getByText('✓ shown')).toBeVisible()
      await phone.getByRole('button', { name: 'Hand in' }).click()
    }
    await expect(phone.getByRole('heading', { name: 'Handed in' })).toBeVisible()

    // Half of the marks, by the second try: climbing, and handed what follows by itself.
    await phone.getByRole('link', { name: 'My work' }).click()
    await expect(phone.getByText('Further out')).toBeVisible()
    await page.goto('/handouts')
    await expect(page.getByRole('cell', { name: '1 student after “A short ladder”' })).toBeVisible()
  })
})

test('questions are drawn from a passage, looked at, and one is kept; a record tells of each use', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  const headers = { 'X-Chalk-Ladder': '1' }
  const source = {
    title: 'A short log',
    html: '<p>We left the pier at 05:20 with the ebb. The lead gave 2.4 m on the bar, and 3.6 m beyond it.</p>',
    picture: null,
    alt: '',
  }
  const paper = {
    version: 1,
    title: 'Read closely',
    mastery: null,
    sections: [{ id: 's1', title: 'Log', route: null, entries: [{ id: 'e1', kind: 'source', source }] }],
  }
  const made = await (await page.request.post('/api/papers', { data: { paper, version: 0 }, headers })).json()
  await page.goto(`/papers/${(made as { id: string }).id}`)
  await page.getByRole('button', { name: 'Draw questions from it …' }).click()
  const dialog = page.getByRole('dialog', { name: 'Questions that this passage offers' })
  await expect(dialog.getByText('“The lead gave ____ m on the bar, and 3.6 m beyond it.”')).toBeVisible()
  await axeClean(page)
  await dialog.getByRole('checkbox', { name: 'Keep question 2' }).check()
  await dialog.getByRole('button', { name: 'Keep 1 question in the paper' }).click()
  await expect(page.getByText('1 question kept, in the bank and here.', { exact: true })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Question 1' })).toContainText('Which number belongs in the gap?')

  await page.goto('/bank?q=Which+chart+shows+more')
  await page.getByRole('button', { name: 'By class and edition' }).click()
  const record = page.getByRole('dialog', { name: /Which chart shows more/ })
  await expect(record.getByRole('link', { name: 'Chart work: scale and bearings' })).toBeVisible()
  await expect(record.getByRole('row', { name: /8 Heron/ }).first()).toContainText('%')
  await axeClean(page)
})
