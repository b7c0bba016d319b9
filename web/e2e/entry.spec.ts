import { expect, test } from '@playwright/test'
import { AFTER_HAND_IN, axeClean, classOfOne, join, kept, onPhone, signIn } from './acts'

const NOTES = `title: Where the sand goes
Waves come in at an angle. What moves along the beach? [2]
hint: Watch one pebble.
hint 1/2: It goes up at an angle and comes straight back.
go back to the beach walk: Waves bring the pebbles up and take them down again.
ask for working
v sand and pebbles
x the headland ! It stands still.

title: Tide words
Drag the words to their places.
> After high water comes the [ebb]. Around the turn it is [slack].
with bank = ["flood"]
`

test('questions are typed in as on paper, kept, handed out, and sat with hints, a bank of words and working', async ({
  browser,
  page,
}) => {
  await signIn(page, 'Maren Ostrander')
  await page.getByRole('heading', { name: 'Bank' }).waitFor()
  await page.keyboard.press('t')
  const notes = page.getByLabel('Questions, with a blank line between them')
  await notes.fill(`${NOTES}perhaps`)
  await expect(page.getByRole('button', { name: 'Line 14' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Keep 2 questions' })).toBeDisabled()
  await axeClean(page)
  await notes.fill(NOTES)
  await page.getByRole('button', { name: 'Keep 2 questions' }).click()
  await expect(page.getByText('2 questions kept in the bank.', { exact: true })).toBeVisible()

  const headers = { 'X-Chalk-Ladder': '1' }
  const idOf = async (title: string) =>
    (
      (await (await page.request.get(`/api/items?q=${encodeURIComponent(title)}`)).json()) as {
        items: { id: string }[]
      }
    ).items[0]!.id
  const entries = [
    { kind: 'question', id: 'a', item: await idOf('Where the sand goes'), points: '2' },
    { kind: 'question', id: 'b', item: await idOf('Tide words'), points: '1' },
  ]
  const paper = { version: 1, title: 'Typed in', mastery: null, sections: [{ id: 's', title: 'One', entries }] }
  const made = await (await page.request.post('/api/papers', { data: { paper }, headers })).json()
  const published = await (
    await page.request.post(`/api/papers/${made.id}/publish`, { data: { version: made.version }, headers })
  ).json()
  const one = await classOfOne(page, '8 Sand', 'Ada Reef')
  await page.request.post('/api/handouts', {
    data: {
      editionId: published.editionId,
      classes: [one.id],
      conditions: {
        attempts: 1,
        counts: 'best',
        shuffleQuestions: false,
        shuffleOptions: false,
        feedback: AFTER_HAND_IN,
      },
      requestId: crypto.randomUUID(),
    },
    headers,
  })

  const phone = await onPhone(browser)
  await join(phone, one.code, 'Ada Reef', one.pin)
  await phone.getByRole('button', { name: 'Begin' }).click()
  await phone.getByText('sand and pebbles').click()
  await phone.getByRole('button', { name: 'Go back to the beach walk' }).click()
  await expect(phone.getByText('Waves bring the pebbles up')).toBeVisible()
  await phone.getByRole('button', { name: 'Hint', exact: true }).click()
  await expect(phone.getByText('Watch one pebble.')).toBeVisible()
  await phone.getByRole('button', { name: 'Another hint, costs 1 mark' }).click()
  await expect(phone.getByText('comes straight back')).toBeVisible()
  await phone.getByRole('button', { name: 'Show your working' }).click()
  await phone.getByLabel(/^Words beside your answer/).fill('I watched one pebble.')
  await kept(phone)
  await axeClean(phone)
  await phone.getByRole('button', { name: 'Next' }).click()
  // By press and press; the other by keys alone.
  await phone.getByRole('button', { name: 'ebb', exact: true }).click()
  await phone.getByRole('button', { name: 'Gap 1 of 2, empty' }).click()
  await phone.getByRole('button', { name: 'slack', exact: true }).focus()
  await phone.keyboard.press('Enter')
  await phone.getByRole('button', { name: 'Gap 2 of 2, empty' }).focus()
  await phone.keyboard.press('Enter')
  await kept(phone)
  await axeClean(phone)
  await phone.getByRole('button', { name: 'Look over' }).click()
  await phone.getByRole('button', { name: 'Hand in' }).click()
  await expect(phone.getByText('1 of 2 marks, 2 hints taken off')).toBeVisible()
  await expect(phone.getByText('I watched one pebble.')).toBeVisible()
  await phone.close()
})
