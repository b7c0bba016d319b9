import { expect, test, type Page } from '@playwright/test'
import { axeClean, called, classOf, handTo, join, kept, onPhone, signIn } from './acts'

const NAMES = ['Ada Lind', 'Ben Roe', 'Cleo Mar']
const QUESTION = {
  version: 1,
  type: 'choice',
  title: 'Fall of the tide',
  prompt: '<p>How far does the tide fall?</p>',
  points: '1',
  skill: null,
  hint: '',
  explanation: '',
  rule: {
    options: [
      { id: 'a', text: '<p>3.8 m</p>', key: true, feedback: '', misconception: null },
      { id: 'b', text: '<p>5.4 m</p>', key: false, feedback: '', misconception: null },
    ],
  },
}

/** A published paper of one question: other journeys have the demo's to themselves. */
async function paperOf(page: Page, title: string) {
  const item = await called(page, 'POST', '/items', { item: QUESTION })
  const entries = [{ id: 'e1', kind: 'question', item: item.id, points: '1' }]
  const sections = [{ id: 's1', title: 'All', route: null, entries }]
  const paper = await called(page, 'POST', '/papers', { paper: { version: 1, title, mastery: null, sections } })
  await called(page, 'POST', `/papers/${paper.id}/publish`, { version: paper.version })
  return { item, paper }
}

test('a lesson: three students at work, a call, a note, a hold, two counts on the wall', async ({ browser, page }) => {
  await signIn(page, 'Maren Ostrander')
  const room = await classOf(page, '8 Lapwing', NAMES)
  await paperOf(page, 'A paper for a lesson')
  const handout = await handTo(page, room.id, 'A paper for a lesson')
  const students: Page[] = []
  for (const name of NAMES) {
    const phone = await onPhone(browser)
    await join(phone, room.code, name, room.pins[name] ?? '')
    await phone.getByRole('button', { name: 'Begin' }).click()
    await expect(phone.getByRole('radio').first()).toBeVisible()
    students.push(phone)
  }
  const [ada, ben, cleo] = students as [Page, Page, Page]

  // A call reaches the Lookout; a note goes back and the question stays where it is.
  await ada.getByRole('button', { name: 'Ask your teacher' }).click()
  await ada.getByLabel(/^A line of words/).fill('from high or from low?')
  await axeClean(ada)
  await ada.getByRole('button', { name: 'Ask', exact: true }).click()
  await page.goto(`/lookout/${handout}`)
  const calls = page.getByRole('heading', { name: 'Calls' }).locator('..')
  await expect(calls).toContainText('from high or from low?')
  await axeClean(page)
  await calls.getByRole('button', { name: /^Ada Lind/ }).click()
  const before = await ada.getByText('How far does the tide fall?').boundingBox()
  await page.getByLabel('A note to Ada Lind').fill('Take low from high.')
  await page.keyboard.press('Enter')
  await expect(ada.getByText('Take low from high.')).toBeVisible()
  expect(await ada.getByText('How far does the tide fall?').boundingBox()).toEqual(before)
  await expect(ben.getByText('Take low from high.')).toHaveCount(0)
  await page.getByRole('button', { name: 'Seen to' }).click()
  await expect(ada.getByRole('button', { name: 'Ask your teacher' })).toBeVisible()

  // All are held by one key; what was picked is kept.
  await ben.getByText('3.8 m').click()
  await kept(ben)
  await page.getByRole('button', { name: 'Put away' }).first().click()
  await page.getByRole('button', { name: 'Hold all' }).click()
  await page.getByLabel(/^Words on their screens/).fill('Eyes to the front')
  await page.keyboard.press('Enter')
  for (const phone of students)
    await expect(phone.getByRole('alertdialog', { name: 'Stop and look up' })).toContainText('Eyes to the front')
  await axeClean(cleo)
  await page.getByRole('button', { name: 'Release all' }).click()
  for (const phone of students) await expect(phone.getByRole('alertdialog')).toHaveCount(0)

  // On the wall: a question, counted before the talk and after it; no name, and the key by an act of its own.
  await cleo.getByText('5.4 m').click()
  await kept(cleo)
  const wall = await page.context().newPage()
  await wall.goto(`/wall/${handout}`)
  await expect(wall.getByText('3 of 3 here')).toBeVisible()
  await page
    .getByRole('columnheader', { name: /Fall of the tide/ })
    .getByRole('link')
    .click()
  await page.getByRole('button', { name: 'Show this question' }).click()
  await expect(wall.getByRole('row', { name: /3\.8 m/ })).toContainText('1')
  await page.getByRole('button', { name: 'Count, then let them talk' }).click()
  await expect(wall.getByText('first count', { exact: true })).toBeVisible()
  await cleo.getByText('3.8 m').click()
  await kept(cleo)
  await expect(page.getByText(/Since the first count 1 went to the key/)).toBeVisible()
  await expect(wall.getByRole('row', { name: /3\.8 m/ })).toContainText('2')
  for (const name of NAMES) await expect(wall.locator('body')).not.toContainText(name)
  await expect(wall.getByText('✓ key')).toHaveCount(0)
  await page.getByRole('button', { name: 'Show the key' }).click()
  await expect(wall.getByText('✓ key')).toBeVisible()
  await axeClean(wall)
  await axeClean(page)

  // One is taken in before the others.
  await page.goto(`/lookout/${handout}?student=`)
  await page.getByRole('button', { name: 'Ben Roe' }).click()
  await page.getByRole('button', { name: 'Take the work in' }).click()
  await expect(ben.getByRole('heading', { name: 'Handed in' })).toBeVisible()
  await expect(ada.getByRole('radio').first()).toBeVisible()
})

test('a question that is mended while it is sat reaches who has answered it, and comes back', async ({
  browser,
  page,
}) => {
  await signIn(page, 'Maren Ostrander')
  const room = await classOf(page, '8 Redshank', ['Ada Lind'])
  const { paper, item } = await paperOf(page, 'A paper that is mended')
  const handout = await handTo(page, room.id, 'A paper that is mended')
  const phone = await onPhone(browser)
  await join(phone, room.code, 'Ada Lind', room.pins['Ada Lind'] ?? '')
  await phone.getByRole('button', { name: 'Begin' }).click()
  await phone.getByText('3.8 m').click()
  await kept(phone)
  const prompt = '<p>How far does the tide fall? Look at the tide pole.</p>'
  await called(page, 'PUT', `/items/${item.id}`, { item: { ...QUESTION, prompt }, version: item.version })
  await called(page, 'POST', `/papers/${paper.id}/publish`, { version: paper.version })

  await page.goto(`/lookout/${handout}`)
  await page.getByRole('button', { name: 'See what it would change' }).click()
  await expect(page.getByText('another wording')).toBeVisible()
  await axeClean(page)
  await page.getByRole('button', { name: 'Give it to 1 student at work' }).click()
  await expect(phone.getByText('Look at the tide pole.')).toBeVisible()
  await expect(phone.getByText(/has changed this question since you answered it/)).toBeVisible()
  await expect(phone.getByRole('radio', { name: /3\.8 m/ })).toBeChecked()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(phone.getByText('Look at the tide pole.')).toHaveCount(0)
})

test('a student helps another under another name, and a name that is typed waits for the teacher', async ({
  browser,
  page,
}) => {
  await signIn(page, 'Maren Ostrander')
  const room = await classOf(page, '8 Dotterel', NAMES)
  await paperOf(page, 'A paper to help with')
  const handout = await handTo(page, room.id, 'A paper to help with')
  const begun = async (name: string) => {
    const phone = await onPhone(browser)
    await join(phone, room.code, name, room.pins[name] ?? '')
    await phone.getByRole('button', { name: 'Begin' }).click()
    await expect(phone.getByRole('radio').first()).toBeVisible()
    return phone
  }
  const [ada, ben] = [await begun('Ada Lind'), await begun('Ben Roe')]
  await ben.getByText('3.8 m').click()
  await kept(ben)
  await ada.getByRole('button', { name: 'Ask your teacher' }).click()
  await ada.getByRole('button', { name: 'Ask', exact: true }).click()

  await page.goto(`/lookout/${handout}`)
  await page.getByRole('button', { name: 'Find help for Ada Lind' }).click()
  await page.getByRole('button', { name: 'Ask Ben Roe' }).click()
  await ben.getByRole('button', { name: 'Yes, show me' }).click()
  await expect(ben.getByRole('dialog').getByText('How far does the tide fall?')).toBeVisible()
  await ben.getByLabel('Say').fill('Which is higher?')
  await axeClean(ben)
  await ben.keyboard.press('Enter')

  await ada.getByRole('button', { name: 'Read and write' }).click()
  const talk = ada.getByRole('dialog')
  await expect(talk).toContainText('Which is higher?')
  await ada.getByLabel('Say').fill('are you ben')
  await ada.keyboard.press('Enter')
  await expect(talk).toContainText('There may be a name in this.')
  const helps = page.getByRole('heading', { name: 'Students help' }).locator('..')
  await expect(helps).toContainText('held back: a name')
  await axeClean(page)
  await expect(ben.getByRole('dialog')).not.toContainText('are you ben')
  await helps.getByRole('button', { name: 'Let it through' }).click()
  await expect(ben.getByRole('dialog')).toContainText('are you ben')
  expect(await ben.getByRole('dialog').textContent()).not.toContain('Ada')

  // Whoever is helped has had enough.
  await ada.getByRole('button', { name: 'I need no more help' }).click()
  await expect(ben.getByRole('dialog')).toHaveCount(0)
  await expect(
    ben.getByText('The help is over. You can go on by yourself, or ask your teacher.', { exact: true }),
  ).toBeVisible()
  await expect(helps).toContainText('1 help over')

  // Teams climb: the wall shows them and nobody's name, a student their own.
  await page.getByRole('button', { name: 'Let teams climb …' }).click()
  await page.getByRole('radio', { name: '2 teams' }).click()
  await expect(page.getByRole('dialog').getByRole('region')).toHaveCount(2)
  await axeClean(page)
  await page.getByRole('button', { name: 'Let them climb' }).click()
  await expect(page.getByRole('button', { name: 'Stop the climb' })).toBeVisible()
  const wall = await page.context().newPage()
  await wall.goto(`/wall/${handout}`)
  const teams = wall.getByRole('list', { name: 'Teams that climb, of 1 rung' })
  await expect(teams).toContainText('1 rung')
  await axeClean(wall)
  for (const name of NAMES) await expect(wall.locator('body')).not.toContainText(name)
  const own = (await ben.getByText(/^You climb with/).textContent())?.match(/with (\w+)/)?.[1] ?? '?'
  await expect(teams).toContainText(own)
})
