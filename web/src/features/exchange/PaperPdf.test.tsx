import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import { Refusal, sent, serve } from '@/testing/server'
import { show } from '@/testing/page'
import { PaperPdf } from './PaperPdf'

const job = (change: object = {}) => ({ id: 'j1', state: 'waiting', before: 0, ...change })
const pdf = () => new Response('%PDF-1.7', { headers: { 'Content-Type': 'application/pdf' } })
let kept: string[]
beforeEach(() => {
  kept = []
  URL.createObjectURL = () => 'blob:paper'
  URL.revokeObjectURL = () => undefined
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    kept.push(this.download)
  })
})
const ask = async (what: string, before?: () => Promise<unknown>) => {
  const user = show(<PaperPdf id="p1" title="Salt" before={before} />)
  await user.click(screen.getByRole('button', { name: 'PDF' }))
  await user.click(await screen.findByRole('menuitem', { name: what }))
  return user
}

it('saves what is typed, asks, and gives the file to the browser', async () => {
  const before = vi.fn(() => Promise.resolve())
  serve({ 'POST /api/papers/p1/pdf': job(), 'POST /api/pdfs/j1/file': pdf })
  await ask('PDF with key', before)
  await waitFor(() => expect(kept).toEqual(['Salt · key.pdf']))
  expect(before).toHaveBeenCalledOnce()
  expect(sent('POST', '/api/papers/p1/pdf')[0]?.path).toContain('key=true')
  expect(screen.queryByRole('dialog')).toBeNull()
  expect(sent('DELETE', '/api/pdfs/j1')).toHaveLength(0)
})

it('says its place, and cancelling gives the place up', async () => {
  serve({
    'POST /api/papers/p1/pdf': job({ before: 3 }),
    'GET /api/pdfs/j1': job({ before: 2 }),
    'POST /api/pdfs/j1/file': () => new Promise(() => undefined),
    'DELETE /api/pdfs/j1': null,
  })
  await ask('PDF')
  // The same is said to whoever listens, a moment later.
  const dialog = within(await screen.findByRole('dialog'))
  expect(await dialog.findByText('Waiting: 3 before it.')).toBeTruthy()
  expect(await dialog.findByText('Waiting: 2 before it.', {}, { timeout: 4000 })).toBeTruthy()
  fireEvent.click(dialog.getByRole('button', { name: 'Cancel' }))
  await waitFor(() => expect(sent('DELETE', '/api/pdfs/j1')).toHaveLength(1))
  expect(kept).toEqual([])
})

it('what fails is said, and can be tried again', async () => {
  let tries = 0
  serve({
    'POST /api/papers/p1/pdf': job(),
    'POST /api/pdfs/j1/file': () =>
      (tries += 1) === 1 ? new Refusal(503, 'The paper could not be printed.', 'Try again.') : pdf(),
    'DELETE /api/pdfs/j1': null,
  })
  const user = await ask('PDF')
  expect(await screen.findByText('✕ The paper could not be printed.', { exact: false })).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Try again' }))
  await waitFor(() => expect(kept).toEqual(['Salt.pdf']))
})

it('offers large print, and versions with a key of their own', async () => {
  serve({ 'POST /api/papers/p1/pdf': job(), 'POST /api/pdfs/j1/file': pdf })
  await ask('Key of version B')
  await waitFor(() => expect(kept).toEqual(['Salt · version B · key.pdf']))
  expect(sent('POST', '/api/papers/p1/pdf')[0]?.path).toContain('key=true&version=B&large=false')
})

it('offers the sheet that it is answered on', async () => {
  serve({ 'POST /api/papers/p1/pdf': job(), 'POST /api/pdfs/j1/file': pdf })
  await ask('Answer sheet')
  await waitFor(() => expect(kept).toEqual(['Salt · answer sheet.pdf']))
  expect(sent('POST', '/api/papers/p1/pdf')[0]?.path).toContain('sheet=true')
})
