import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { expect, test } from '@playwright/test'
import { axeClean, classOfOne, handTo, signIn } from './acts'

/** A page of the school's own: another site than ours, since its name is another. */
async function pageWith(code: () => string): Promise<{ server: Server; at: string }> {
  const server = createServer((_, answer) => {
    answer.setHeader('Content-Type', 'text/html; charset=utf-8')
    answer.end(`<!doctype html><html lang="en"><title>Our class</title><h1>Week 12</h1>${code()}`)
  })
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening))
  return { server, at: `http://localhost:${(server.address() as AddressInfo).port}` }
}

test('work stands in a frame of a page that a lead has named, with a sign-in of its own', async ({ browser, page }) => {
  let code = ''
  const ours = await pageWith(() => code)
  const stranger = await pageWith(() => code)
  try {
    await signIn(page, 'Maren Ostrander')
    const one = await classOfOne(page, '8 Avocet', 'Odile Marr')
    const handout = await handTo(page, one.id, 'Five-minute check: tides')
    await page.goto('/account')
    await page.getByLabel('Their addresses, one in a line').fill(`${ours.at}/week/12`)
    await page.getByRole('button', { name: 'Keep these pages' }).click()
    await expect(page.getByLabel('Their addresses, one in a line')).toHaveValue(ours.at)
    await axeClean(page)
    await page.goto(`/handouts?open=${handout}`)
    await page.getByRole('button', { name: /^Link to / }).click()
    code = (await page.getByRole('dialog').locator('code').textContent()) ?? ''
    expect(code).toContain('<iframe ')
    await axeClean(page)

    const outer = await (await browser.newContext()).newPage()
    await outer.goto(ours.at)
    const inner = outer.frameLocator('iframe')
    await inner.getByLabel('Class code').fill(one.code)
    await inner.getByLabel('Your name').fill('Odile Marr')
    await inner.getByLabel('PIN').fill(one.pin)
    await inner.getByRole('button', { name: 'Join' }).click()
    await inner.getByRole('button', { name: 'Begin' }).click()
    await inner.getByRole('radio').first().check({ force: true })
    await expect(inner.getByRole('banner')).toContainText('kept')

    await outer.reload()
    await inner.getByRole('button', { name: 'Go on' }).click()
    await expect(inner.getByRole('radio').first()).toBeChecked()
    // By itself the same browser knows nobody: the frame's sign-in is the frame's.
    const alone = await outer.context().newPage()
    await alone.goto(`/my/to/${handout}`)
    await expect(alone.getByRole('button', { name: 'Join' })).toBeVisible()

    await outer.goto(stranger.at)
    await expect.poll(() => outer.frames().at(-1)?.url()).toContain('chrome-error')
  } finally {
    ours.server.close()
    stranger.server.close()
  }
})
