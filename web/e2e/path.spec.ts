import { expect, test, type Page } from '@playwright/test'
import { axeClean, join, kept, onPhone, pickFrom, signIn, stage } from './acts'

test.describe.configure({ mode: 'serial' })

/** The whole way, in the second team, which has nothing yet: from the first question to the groups' next work. */
test('a teacher goes from a question to regrouped students with their next work', async ({ page, browser }) => {
  test.setTimeout(240_000)
  await signIn(page, 'Lotte Weatherby')
  await expect(page.getByText('The bank is empty')).toBeVisible()

  await test.step('write four types of question', async () => {
    await writeChoice(page)
    await writeText(page)
    await writeNumber(page)
    await writeOpen(page)
    await expect(page.getByRole('row')).toHaveCount(5)
    await page.getByLabel('Search').fill('deep')
    await expect(page.getByRole('row')).toHaveCount(2)
  })

  await test.step('compose a paper with a source, a route and a mastery rule, and publish it', async () => {
    await stage(page, 'Papers')
    await page.getByRole('button', { name: 'New paper' }).click()
    await page.getByLabel('Title').first().fill('Salt and water')
    await page.getByRole('button', { name: 'From the bank' }).click()
    for (const title of ['Ebb or flood', 'Name the harbour', 'How deep'])
      await page
        .getByRole('dialog')
        .getByRole('checkbox', { name: new RegExp(title) })
        .check()
    await page.getByRole('button', { name: 'Take 3 questions' }).click()
    await page.getByRole('button', { name: 'Add a source' }).click()
    await page.getByLabel('Title of the source').fill('From the log')
    await page.getByRole('textbox', { name: 'Passage' }).fill('We lay outside the bar until noon.')
    await page.getByRole('button', { name: 'Add a section' }).click()
    await page.getByRole('button', { name: 'From the bank' }).click()
    await page
      .getByRole('dialog')
      .getByRole('checkbox', { name: /Why wait/ })
      .check()
    await page.getByRole('button', { name: 'Take 1 question' }).click()
    await page.getByRole('button', { name: /^Section 1/ }).click()
    await page.getByRole('button', { name: 'Add a way on' }).click()
    await expect(page.getByLabel('leads to')).toHaveText('Section 2')
    await page.getByRole('button', { name: 'else → the end' }).click()
    await page.getByLabel('Missed questions come back').check()
    await pickFrom(page.getByLabel('At most'), 'once')
    // Above half, the second section would be skipped by everyone: both ways lead on here.
    await pickFrom(page.getByLabel('leads to'), 'Section 2')
    await expect(page.getByText(/All exits/).first()).toBeVisible()
    await axeClean(page)
    await page.getByRole('button', { name: 'Publish edition 1' }).click()
    await expect(page.getByText('Edition 1 is published').first()).toBeVisible()
  })

  await test.step('a defect blocks the next edition until it is mended', async () => {
    await page
      .getByRole('button', { name: /Ebb or flood/ })
      .first()
      .click()
    await page.getByLabel('Marks in this paper').fill('0')
    await expect(page.getByText('worth zero points').last()).toBeVisible()
    await expect(page.getByRole('button', { name: 'Publish edition 2' })).toBeDisabled()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText('worth zero points')).toHaveCount(0)
  })

  await test.step('preview, really answering', async () => {
    await page.getByRole('button', { name: 'Preview' }).click()
    await page.getByText('the sea rises').click()
    await page.getByRole('button', { name: 'Check' }).click()
    await expect(page.getByText('That is the flood.')).toBeVisible()
    await page.getByRole('button', { name: 'Next' }).click()
    await expect(page.getByText('Name the harbour of the log')).toBeVisible()
  })

  let pins: Record<string, string> = {}
  let code = ''
  await test.step('a class by pasting, with doubles found, and slips', async () => {
    await stage(page, 'Classes')
    await page.getByRole('button', { name: 'New class' }).click()
    await page.getByLabel('Name').fill('9 Saltmarsh')
    await page.getByRole('button', { name: 'Make the class' }).click()
    await page.getByRole('button', { name: 'Add students' }).first().click()
    await page.getByLabel('Names, one a line, or CSV').fill('Noor Hadley\nTibo Larch\nnoor hadley\nZoë Finch')
    await page.getByRole('button', { name: 'Look at the list' }).click()
    await expect(page.getByRole('dialog').getByText('double')).toHaveCount(1)
    await page.getByRole('button', { name: 'Add 3 students' }).click()
    await expect(page.getByText('3 students', { exact: true })).toBeVisible()
    await page.getByRole('button', { name: 'Slips to print' }).click()
    const printed = page.getByRole('listitem').filter({ hasText: 'Class code' })
    await expect(printed).toHaveCount(3)
    const slips = await printed.allInnerTexts()
    code = /Class code (\w+)/.exec(slips[0] ?? '')?.[1] ?? ''
    pins = Object.fromEntries(slips.map((s) => [s.split('\n')[0]?.trim() ?? '', /PIN (\d+)/.exec(s)?.[1] ?? '']))
    await page.getByRole('button', { name: 'Back to the class' }).click()
  })

  await test.step('hand out and look out', async () => {
    await stage(page, 'Handouts')
    await page.getByRole('button', { name: 'Hand out' }).click()
    await pickFrom(page.getByRole('combobox', { name: 'Paper' }), 'Salt and water, edition 1')
    await page.getByLabel('9 Saltmarsh, 3 students').check()
    await axeClean(page)
    await page.getByRole('button', { name: 'Hand out to 1 class' }).click()
    await expect(page.getByText('0 joined of 3')).toBeVisible()
    await expect(page.getByText('live', { exact: true })).toBeVisible()
  })

  const phone = await onPhone(browser)
  await test.step('a student sits on a phone, offline for a while, and nothing is lost', async () => {
    await join(phone, code, 'Noor Hadley', pins['Noor Hadley'] ?? '')
    await phone.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByText('1 joined of 3')).toBeVisible()
    await phone.getByText('the sea rises').click()
    await kept(phone)
    await expect(page.getByRole('row', { name: /Noor/ }).getByRole('img', { name: 'wrong', exact: true })).toHaveCount(
      1,
    )
    await phone.getByRole('button', { name: 'Next' }).click()
    await phone.context().setOffline(true)
    await phone.getByRole('textbox').fill('Kelpwik')
    await expect(phone.getByRole('banner')).toContainText('kept on this device, not sent yet')
    await phone.context().setOffline(false)
    await kept(phone)
    await phone.reload()
    await expect(phone.getByRole('textbox')).toHaveValue('Kelpwik')
    await phone.getByRole('button', { name: 'Next' }).click()
    await phone.getByRole('textbox').fill('4,5 m')
    await kept(phone)
    await axeClean(phone)
    await finishPart(phone)
    // What was missed comes back once; here it is right the second time.
    await expect(phone.getByText('once more, try 2')).toBeVisible()
    await phone.getByText('the sea falls').click()
    await phone.getByRole('button', { name: 'Next' }).click()
    await phone.getByRole('textbox').fill('Kelpwick')
    await kept(phone)
    await finishPart(phone)
    await phone.getByRole('textbox').fill('Because the bar had too little water until the tide had risen.')
    await kept(phone)
    await finishPart(phone)
    await expect(phone.getByRole('heading', { name: 'Handed in' })).toBeVisible()
  })

  await test.step('two more sit; one is still at work when the teacher closes', async () => {
    const second = await onPhone(browser)
    await join(second, code, 'Tibo Larch', pins['Tibo Larch'] ?? '')
    await second.getByRole('button', { name: 'Begin' }).click()
    await second.getByText('the sea rises').click()
    await kept(second)
    await second.getByRole('button', { name: 'Next' }).click()
    await second.getByRole('textbox').fill('kelpwik.')
    await kept(second)
    const third = await onPhone(browser)
    await join(third, code, 'Zoë Finch', pins['Zoë Finch'] ?? '')
    await third.getByRole('button', { name: 'Begin' }).click()
    await third.getByText('the sea falls').click()
    await kept(third)
    await expect(page.getByText('3 joined of 3')).toBeVisible()
    await page.keyboard.press('n')
    await expect(page.getByText('Noor Hadley')).toHaveCount(0)
    await page.keyboard.press('n')
    await page.getByRole('button', { name: 'Tibo Larch' }).click()
    await expect(page.getByLabel('Beside the picture')).toContainText('kelpwik.')
    await page.getByRole('button', { name: 'Close', exact: true }).first().click()
    await page.getByRole('button', { name: 'Close and hand in 2 open sittings' }).click()
    await expect(page.getByText('3 handed in')).toBeVisible()
    await expect(second.getByRole('heading', { name: 'Handed in' })).toBeVisible()
  })

  await test.step('mark the open answer by keys alone', async () => {
    await stage(page, 'Marking')
    await page.getByRole('link', { name: /Why wait/ }).click()
    await expect(page.getByText('0 of 1 marked')).toBeVisible()
    await page.keyboard.press('2')
    await page.keyboard.press('c')
    await page.keyboard.type('Give the hour, too.')
    await page.keyboard.press('Control+Enter')
    await expect(page.getByText('1 of 1 marked')).toBeVisible()
    await axeClean(page)
  })

  await test.step('accept an answer for all who gave it', async () => {
    await page.getByRole('button', { name: /^Question/ }).click()
    await page.getByRole('menuitemradio', { name: /^2 Name the harbour/ }).click()
    await expect(page.getByText('“Kelpwik”').or(page.getByText('Kelpwik')).first()).toBeVisible()
    await page.getByRole('button', { name: 'Accept for all who gave it' }).click()
    await pickFrom(page.getByLabel('Credit'), 'credit 1/2')
    await page.getByRole('button', { name: 'See who gains and who loses' }).click()
    await expect(page.getByRole('heading', { name: 'Gain: 2 answers' })).toBeVisible()
    await page.getByRole('button', { name: 'Re-mark 2 answers' }).click()
    await expect(page.getByText('Re-marked: 2 gain, 0 lose.').first()).toBeVisible()
  })

  await test.step('change a key, then take the change back', async () => {
    await page.getByRole('button', { name: /^Question/ }).click()
    await page.getByRole('menuitemradio', { name: /^1 Ebb or flood/ }).click()
    await page.getByRole('button', { name: 'Change the key' }).click()
    await page.getByRole('button', { name: 'option B is the key' }).click()
    await page.getByRole('button', { name: 'See who gains and who loses' }).click()
    await expect(page.getByRole('heading', { name: 'Gain: 2 answers' })).toBeVisible()
    await expect(page.getByRole('heading', { name: 'Lose: 2 answers' })).toBeVisible()
    await page.getByRole('button', { name: 'Re-mark 4 answers' }).click()
    // The message of the accepted answer may still stand above, with an undo of its own.
    const said = page.getByRole('listitem').filter({ hasText: 'Re-marked: 2 gain, 2 lose.' })
    await said.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText('The old key holds again').first()).toBeVisible()
  })

  await test.step('return with a message; the student reads it and replies once', async () => {
    await page.getByRole('button', { name: 'Return', exact: true }).click()
    await page.getByLabel('A message to all of them').fill('Read the log once more.')
    await page.getByRole('button', { name: 'Return to 3 students' }).click()
    await expect(page.getByText('Returned to 3 students').first()).toBeVisible()
    await phone.goto('/my')
    await phone.getByRole('button', { name: 'See' }).click()
    await expect(phone.getByText('Read the log once more.')).toBeVisible()
    await expect(phone.getByText('Give the hour, too.')).toBeVisible()
    await axeClean(phone)
    await phone.getByLabel('Reply to your teacher, once').fill('At noon.')
    await phone.getByRole('button', { name: 'Send the reply' }).click()
    await expect(phone.getByText('Your reply')).toBeVisible()
  })

  await test.step('read the results', async () => {
    await stage(page, 'Results')
    await page.getByRole('link', { name: /Salt and water/ }).click()
    await expect(page.getByText('best attempt counts · 3 students')).toBeVisible()
    const row = page.getByRole('row', { name: /Ebb or flood/ })
    // First tries: one of three is right, and the second try of another earns half of the mark.
    await row.getByRole('button', { name: /Facility of question 1/ }).click()
    await expect(page.getByRole('dialog')).toContainText('n = 3')
    await page.keyboard.press('Escape')
    await page.getByRole('tab', { name: 'Misconceptions' }).click()
    await expect(page.getByText(/shown by 2 of 3/)).toBeVisible()
    await axeClean(page)
    const [marks] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Marks CSV' }).click(),
    ])
    expect(marks.suggestedFilename()).toContain('.csv')
  })

  await test.step('regroup, move a student, keep, and hand each group its next paper', async () => {
    await page.keyboard.press('r')
    await expect(page.getByRole('heading', { name: 'Regroup' })).toBeVisible()
    await pickFrom(page.getByLabel('Aim'), 'By rung')
    const groups = page.getByRole('region')
    await expect(groups.first()).toBeVisible()
    await expect(page.getByRole('region', { name: 'Footing' })).toBeVisible()
    // With the keyboard: the student at hand goes to the next group, and the focus goes along.
    const first = page.getByRole('region', { name: 'Footing' }).getByRole('button').first()
    const name = (await first.innerText()).split('\n')[0] ?? ''
    await first.focus()
    await page.keyboard.press('Alt+ArrowRight')
    await expect(page.getByText(new RegExp(`^${name} is in “.+” now\\.$`))).toBeAttached()
    await expect(page.locator(':focus')).toContainText(name)
    // And back by dragging.
    const dragged = page.locator(':focus')
    await dragged.dragTo(page.getByRole('region', { name: 'Footing' }).getByRole('heading'), { steps: 8 })
    await expect(page.getByRole('region', { name: 'Footing' })).toContainText(name)
    await page.getByRole('main').getByRole('button', { name: 'Undo' }).click()
    await page.getByRole('button', { name: 'Keep this grouping' }).click()
    await expect(page.getByText('What is each group handed next?')).toBeVisible()
    await axeClean(page)
    for (const select of await page.getByRole('region', { name: 'Follow-ups' }).getByRole('combobox').all())
      await pickFrom(select, 'Salt and water')
    await page.getByRole('button', { name: /^Hand out to/ }).click()
    await expect(page.getByText('✓ handed: Salt and water').first()).toBeVisible()
    await phone.goto('/my')
    await expect(phone.getByRole('button', { name: 'Begin' })).toBeVisible()
  })

  await test.step('the paper and its key as PDF', async () => {
    await stage(page, 'Papers')
    await page.getByRole('link', { name: 'Salt and water' }).click()
    await page.getByRole('button', { name: 'PDF' }).click()
    const [pdf] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: 'PDF with key' }).click(),
    ])
    expect(pdf.suggestedFilename()).toBe('Salt and water · key.pdf')
    const read = await pdf.createReadStream()
    const chunks: Buffer[] = []
    for await (const chunk of read) chunks.push(chunk as Buffer)
    expect(Buffer.concat(chunks).subarray(0, 5).toString()).toBe('%PDF-')
  })
})

const newQuestion = async (page: Page, type: string, title: string, prompt: string, marks: string) => {
  await page.getByRole('button', { name: 'New question' }).click()
  await page.getByRole('menuitem', { name: type, exact: true }).click()
  await page.getByLabel('Title, for the team').fill(title)
  await page.getByLabel('Marks').fill(marks)
  await page.getByRole('textbox', { name: 'Prompt' }).fill(prompt)
}
const save = async (page: Page) => {
  await page.getByRole('button', { name: 'Save question' }).click()
  await expect(page.getByText('None found at the last save.').or(page.getByText('No skill is named'))).toBeVisible()
  await page.getByRole('button', { name: 'Back to bank' }).click()
}

async function writeChoice(page: Page) {
  await newQuestion(page, 'picked', 'Ebb or flood', 'What happens at ebb?', '1')
  await page.getByRole('textbox', { name: 'Text of option A' }).fill('the sea falls')
  await page.getByRole('button', { name: 'option A is the key' }).click()
  await page.getByRole('textbox', { name: 'Text of option B' }).fill('the sea rises')
  await page.getByRole('textbox', { name: 'Text of option C' }).fill('the sea stands')
  await pickFrom(page.getByLabel('Misconception behind option B'), 'New misconception …')
  await page.getByLabel('What the student thinks').fill('Ebb is the rising tide')
  await page.getByLabel('What to do next').fill('Watch the slipway for an hour.')
  await page.getByRole('button', { name: 'Add the misconception' }).click()
  await expect(page.getByLabel('Misconception behind option B')).toContainText('Ebb is the rising tide')
  await page.getByLabel('Feedback for option B').fill('That is the flood.')
  await page.getByRole('button', { name: 'Remove option D' }).click()
  await page.getByRole('region', { name: 'Try-out and defects' }).locator('label', { hasText: 'the sea rises' }).click()
  await expect(page.getByText('“That is the flood.”')).toBeVisible()
  await save(page)
}

async function writeText(page: Page) {
  await newQuestion(page, 'words', 'Name the harbour', 'Name the harbour of the log.', '2')
  await page.getByLabel('Text of form 1').fill('Kelpwick')
  await save(page)
}

async function writeNumber(page: Page) {
  await newQuestion(page, 'a number', 'How deep', 'How deep is it, in metres?', '2')
  await pickFrom(page.getByLabel('Unit'), 'm')
  await page.getByLabel('Number for value 1').fill('4.5')
  await page.getByLabel('Your answer to try out').fill('450 cm')
  await expect(page.getByText('read as “4.5 m”')).toBeVisible()
  await save(page)
}

async function writeOpen(page: Page) {
  await newQuestion(page, 'explained', 'Why wait', 'Why did she wait outside the bar?', '4')
  await save(page)
}

/** Leaves the part at hand; the last one is looked over and handed in. */
async function finishPart(phone: Page) {
  const next = phone.getByRole('button', { name: /^(Next|Leave for now)$/ })
  const on = phone.getByRole('button', { name: /^(Go on|Look over)$/ })
  await expect(next.or(on)).toBeVisible()
  while (await next.isVisible()) await next.click()
  const last = (await on.innerText()) === 'Look over'
  await on.click()
  if (!last) await expect(phone.getByText('You cannot come back to this part once you go on.')).toBeVisible()
  await phone.getByRole('button', { name: last ? 'Hand in' : 'Go on' }).click()
}
