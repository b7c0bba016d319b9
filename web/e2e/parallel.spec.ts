import { expect, test, type APIRequestContext } from '@playwright/test'
import { join, onPhone, signIn } from './acts'

const headers = { 'X-Chalk-Ladder': '1' }
const SIX = [0, 1, 2, 3, 4, 5]

/** The same act six times at once, by as many connections. */
const sixTimes = (request: APIRequestContext, path: string, data: object = {}) =>
  Promise.all(SIX.map(() => request.post(path, { data, headers })))
const statuses = (answers: { status: () => number }[]) => answers.map((a) => a.status()).sort()

test('an act that arrives six times at once has one effect', async ({ page }) => {
  await signIn(page, 'Maren Ostrander')
  const read = async (path: string) => (await page.request.get(path)).json()

  const { papers } = await read('/api/papers')
  const paper = await read(`/api/papers/${papers.find((p: { title: string }) => p.title === 'Further out').id}`)
  const changed = await page.request.put(`/api/papers/${paper.id}`, {
    data: { paper: { ...paper.paper, title: 'Further out, again' }, version: paper.version },
    headers,
  })
  const { version } = await changed.json()
  const published = await sixTimes(page.request, `/api/papers/${paper.id}/publish`, { version })
  expect(statuses(published)).toEqual([200, 200, 200, 200, 200, 200])
  const editions = await Promise.all(published.map(async (p) => (await p.json()).edition))
  expect(new Set(editions)).toEqual(new Set([paper.edition + 1]))

  const { handouts } = await read('/api/handouts')
  const unit = handouts.find((h: { title: string }) => h.title.startsWith('Chart work')).id
  const { students } = await read(`/api/handouts/${unit}/return`)
  expect(students.length).toBeGreaterThan(0)
  const { columns } = await read(`/api/handouts/${unit}/lookout`)
  const text = columns.find((c: { type: string }) => c.type === 'text').entry
  const key = { accept: { text: 'a shoal that nobody names' }, credit: '1/2', reason: 'Six at once.' }
  const keys = await sixTimes(page.request, `/api/handouts/${unit}/keys/${text}`, key)
  expect(statuses(keys)).toEqual([200, 409, 409, 409, 409, 409])

  const done = keys.find((k) => k.status() === 200)
  const { changeId } = await done!.json()
  const undone = await sixTimes(page.request, `/api/key-changes/${changeId}/undo`)
  expect(statuses(undone)).toEqual([200, 409, 409, 409, 409, 409])
})

test('one student holds at most three streams', async ({ browser }) => {
  const [, code = '', name = '', pin = ''] =
    /8 Kestrel\s+code (\w+) · (.+) · PIN (\d+)/.exec(process.env.CHALK_ACCOUNTS ?? '') ?? []
  const phone = await onPhone(browser)
  await join(phone, code, name, pin)
  const { handouts } = await (await phone.request.get('/api/me/work')).json()
  const stream = `/api/me/sittings/${handouts.find((h: { sittingId: string | null }) => h.sittingId).sittingId}/live`
  // A stream answers when it is open, and stays open until the page goes.
  const held = await phone.evaluate(
    (path) =>
      Promise.all(
        [1, 2, 3, 4, 5].map(async () => (await fetch(path, { headers: { Accept: 'text/event-stream' } })).status),
      ),
    stream,
  )
  expect(held.filter((status) => status === 200)).toHaveLength(3)
  expect(held.filter((status) => status >= 400)).toHaveLength(2)
  await phone.context().close()
})
