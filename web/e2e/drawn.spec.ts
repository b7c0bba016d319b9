import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { axeClean, classOfOne, drag, handTo, join, kept, onPhone, press, signIn } from './acts'

const photo = (name: string) => ({
  name,
  mimeType: 'image/jpeg',
  buffer: readFileSync(`demo/photos/${name}`),
})

test('what is pointed at, plotted, drawn, said and given is sat on a phone, marked and returned', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Maren Ostrander')
  const one = await classOfOne(page, '8 Fulmar', 'Bo Marrow')
  const handout = await handTo(page, one.id, 'Kelpwick Sound')
  const phone = await onPhone(browser)
  await join(phone, one.code, 'Bo Marrow', one.pin)
  await phone.getByRole('button', { name: 'Begin' }).click()
  const sheet = phone.getByRole('application')
  const next = () => phone.getByRole('button', { name: 'Next' }).click()
  const goOn = async () => {
    await phone.getByRole('button', { name: 'Go on' }).click()
    await phone.getByRole('button', { name: 'Go on' }).click()
  }

  // A wrong place first: of one mark, the next press moves it.
  await press(sheet, 560 / 640, 132 / 400)
  await press(sheet, 97 / 640, 262 / 400)
  await kept(phone)
  await axeClean(phone)
  await next()

  for (const [label, x, y] of [
    ['pier', 180, 152],
    ['bank that dries', 340, 205],
    ['port mark', 430, 292],
    ['starboard mark', 250, 255],
  ] as const) {
    await phone.getByRole('group', { name: 'Labels to place' }).getByRole('button', { name: label }).click()
    await press(sheet, x / 640, y / 400)
  }
  // Changed over by dragging, by way of open water: where a mark lies, it is the mark that is taken.
  await drag(sheet, [430 / 640, 292 / 400], [430 / 640, 0.2])
  await drag(sheet, [250 / 640, 255 / 400], [430 / 640, 292 / 400])
  await drag(sheet, [430 / 640, 0.2], [250 / 640, 255 / 400])
  await kept(phone)
  await axeClean(phone)
  await next()

  await drag(sheet, [266 / 640, 336 / 400], [290 / 640, 354 / 400])
  await kept(phone)
  await next()

  await expect(sheet).toBeVisible()
  await drag(sheet, [0.52, 0.95], [0.5, 0.7], [0.38, 0.45])
  await phone.getByRole('radio', { name: 'Words' }).click()
  await press(sheet, 0.5, 0.2)
  await phone.getByLabel('Words on the sheet').fill('this way')
  await phone.keyboard.press('Enter')
  await phone.getByRole('radio', { name: 'Line' }).click()
  await drag(sheet, [0.1, 0.1], [0.3, 0.1])
  await phone.getByRole('button', { name: 'Take back' }).click()
  await kept(phone)
  await axeClean(phone)
  await goOn()

  // By keys alone: from the middle of the grid, in halves of an hour and whole miles.
  await sheet.focus()
  await phone.keyboard.press('Enter')
  for (let i = 0; i < 2; i++) await phone.keyboard.press('ArrowRight')
  for (let i = 0; i < 4; i++) await phone.keyboard.press('ArrowUp')
  await phone.keyboard.press('Enter')
  await expect(phone.getByRole('button', { name: 'Take line through (2, 8) and (3, 12) away' })).toBeVisible()
  await kept(phone)
  await axeClean(phone)
  await next()
  await phone.getByRole('button', { name: 'Leave for now' }).click()

  await sheet.focus()
  for (let i = 0; i < 8; i++) await phone.keyboard.press('ArrowLeft')
  await phone.keyboard.press('Enter')
  for (let i = 0; i < 7; i++) await phone.keyboard.press('Shift+ArrowRight')
  await phone.keyboard.press('Enter')
  await expect(phone.getByRole('button', { name: 'Take 1.7 to 5 away' })).toBeVisible()
  await kept(phone)
  await next()
  await expect(sheet).toBeVisible()
  await goOn()

  await phone.getByRole('button', { name: 'Record' }).click()
  await expect(phone.getByRole('timer')).toContainText('0:01')
  await phone.getByRole('button', { name: 'Stop' }).click()
  await axeClean(phone)
  await phone.getByRole('button', { name: /^Give this/ }).click()
  await expect(phone.getByRole('button', { name: 'Take it out' })).toBeVisible()
  await kept(phone)
  await next()

  const chooser = phone.getByLabel(/choose files/)
  await chooser.setInputFiles({ name: 'page.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(phone.getByRole('alert')).toContainText('This is not a picture')
  await phone.getByRole('button', { name: 'Do not send page.jpg' }).click()
  await chooser.setInputFiles(photo('table-right.jpg'))
  await phone.getByRole('button', { name: 'Turn right' }).click()
  await expect(phone.getByRole('img', { name: 'The photo, turned by 90 degrees' })).toBeVisible()
  await axeClean(phone)
  await phone.getByRole('button', { name: 'Use it' }).click()
  const page1 = phone.getByRole('img', { name: 'table-right.jpg' })
  // A picture stands there before it has come: until then it has no height.
  await expect
    .poll(() => page1.evaluate((one: HTMLImageElement) => one.naturalHeight - one.naturalWidth))
    .toBeGreaterThan(0)
  await kept(phone)
  await axeClean(phone)
  await next()
  await phone.getByLabel(/Your answer to/).fill('Who rings the bell?')
  await kept(phone)

  // Another device has all of it.
  const other = await onPhone(browser)
  await join(other, one.code, 'Bo Marrow', one.pin)
  await other.getByRole('button', { name: 'Go on' }).click()
  await other.getByRole('button', { name: 'Back', exact: true }).click()
  await expect(other.getByRole('img', { name: 'table-right.jpg' })).toBeVisible()
  await other.close()

  await phone.getByRole('button', { name: 'Look over' }).click()
  await phone.getByRole('button', { name: 'Hand in' }).click()
  await expect(phone.getByRole('heading', { name: 'Handed in' })).toBeVisible()
  await expect(phone.getByText(', 4 of 4 marks')).toBeVisible()
  await axeClean(phone)

  // The marker sees the drawing, hears the recording, looks at the photo.
  await page.goto(`/marking/${handout}/e1-4`)
  await expect(page.getByRole('img', { name: /A drawing of 1 stroke, with the words “this way”/ })).toBeVisible()
  await page.keyboard.press('1')
  await page.keyboard.press('1')
  await page.keyboard.press('Enter')
  await expect(page.getByText('1 of 1 marked')).toBeVisible()
  await axeClean(page)
  await page.goto(`/marking/${handout}/e3-1`)
  const player = page.locator('audio')
  await expect.poll(() => player.evaluate((a: HTMLAudioElement) => a.readyState)).toBeGreaterThan(0)
  await page.goto(`/marking/${handout}/e3-2`)
  const picture = page.getByRole('img', { name: /table-right.jpg/ })
  await expect.poll(() => picture.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBeGreaterThan(100)

  // Nobody else's file is handed out: not to another student, not to another team.
  const src = (await picture.getAttribute('src'))!
  const stranger = await onPhone(browser)
  const two = await classOfOne(page, '8 Skua', 'Cy Fern')
  await join(stranger, two.code, 'Cy Fern', two.pin)
  const id = src.split('/').at(-1)
  expect((await stranger.request.get(`/api/me/files/${id}`)).status()).toBe(404)
  expect((await phone.request.get(`/api/me/files/${id}`)).status()).toBe(200)

  // Its results count what a machine marked, and leave out what nobody scores.
  const { questions } = await (await page.request.get(`/api/handouts/${handout}/results`)).json()
  expect(questions.map((q: { title: string }) => q.title)).not.toContain('Ask the harbour master')
  expect(questions.slice(0, 3).map((q: { facility: { value: number } }) => q.facility.value)).toEqual([1, 1, 1])
  expect(questions[0].options.map((o: { count: number }) => o.count)).toEqual([1, 0, 0, 0, 0])
})

test('questions on pictures, grids and sheets are written in place', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  const save = async (title: string) => {
    await page.getByLabel('Title, for the team').fill(title)
    await page.keyboard.press('Control+s')
    await expect(page).toHaveURL(/\/bank\/[0-9a-f-]{36}$/)
    await expect(page.getByText('blocks')).toHaveCount(0)
  }
  const map = { name: 'chart.svg', mimeType: 'image/svg+xml', buffer: readFileSync('demo/pictures/sound.svg') }

  await page.goto('/bank/new/spot')
  await page.getByLabel('Prompt').fill('Press the pier.')
  await page.getByLabel('Picture that is pointed at: choose files').setInputFiles(map)
  const sheet = page.getByRole('application', { name: /picture with its regions/ })
  await expect(sheet).toBeVisible()
  await page.getByLabel('What the picture shows, for who cannot see it').fill('A chart of the sound')
  await drag(sheet, [0.28, 0.38], [0.34, 0.45])
  await page.getByLabel('What is at place 1').fill('the pier')
  await page.getByRole('button', { name: 'Corners' }).click()
  await press(sheet, 0.45, 0.45)
  await press(sheet, 0.65, 0.45)
  await press(sheet, 0.6, 0.6)
  await sheet.press('Enter')
  await page.getByLabel('What is at place 2').fill('Lamrock')
  await page.getByLabel('Credit of place 2').click()
  await page.getByRole('option', { name: 'no credit' }).click()
  await axeClean(page)
  await save('Point by hand')
  await page.getByRole('tab', { name: 'on paper' }).click()
  await expect(page.getByText('Mark 1 cross.')).toBeVisible()

  await page.goto('/bank/new/plot')
  await page.getByLabel('Prompt').fill('Plot y = x.')
  const grid = page.getByRole('application', { name: 'The key on its grid' })
  await page.getByRole('radio', { name: 'Line', exact: true }).click()
  await grid.focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('Enter')
  await expect(page.getByText('y = x', { exact: true }).first()).toBeVisible()
  await axeClean(page)
  await save('Plot by hand')

  await page.goto('/bank/new/working')
  await page.getByLabel('Prompt').fill('Draw a tide.')
  await page.getByRole('radio', { name: 'Isometric' }).click()
  await axeClean(page)
  await save('Draw by hand')
  for (const kind of ['recording', 'upload', 'floor']) {
    await page.goto(`/bank/new/${kind}`)
    await page.getByLabel('Prompt').fill(`A ${kind}.`)
    await axeClean(page)
    await save(`New ${kind}`)
  }
})
