import { screen, within } from '@testing-library/react'
import { beforeEach, expect, it, vi } from 'vitest'
import type { Item } from '@/answers/kinds'
import { blankItem } from '@/answers/registry'
import { show } from '@/testing/page'
import { Refusal, serve, serveAlso } from '@/testing/server'
import { HistoryDialog } from './HistoryDialog'

const said = (prompt: string): Item => ({ ...blankItem('text'), title: 'Tide', prompt: `<p>${prompt}</p>` })
beforeEach(() =>
  serve({
    'GET /api/bank/terms': { skills: [], misconceptions: [], units: [] },
    'GET /api/items/i1/history': {
      versions: [
        { version: 3, by: 'Suvi', until: null },
        { version: 2, by: 'Idris', until: '2026-11-03T10:00:00Z' },
        { version: 1, by: 'Maren', until: '2026-11-02T10:00:00Z' },
      ],
    },
    'GET /api/items/i1/history/2': { version: 2, item: said('What falls?') },
    'GET /api/items/i1/history/1': { version: 1, item: said('What is the ebb?') },
  }),
)

it('shows the version before beside the desk, and takes the one that is wanted', async () => {
  const onTake = vi.fn()
  const user = show(<HistoryDialog id="i1" now={said('What ebbs?')} onTake={onTake} onClose={() => undefined} />)
  const table = await screen.findByRole('table', { name: 'Where version 2 and the desk differ' })
  expect(within(table).getByText('falls?').tagName).toBe('DEL')
  expect(within(table).getByText('ebbs?').tagName).toBe('INS')
  await user.click(screen.getByRole('radio', { name: '1 · Maren' }))
  await screen.findByRole('table', { name: 'Where version 1 and the desk differ' })
  await user.click(screen.getByRole('button', { name: 'Take version 1 onto the desk' }))
  expect(onTake).toHaveBeenCalledWith(said('What is the ebb?'), 1)
})

it('says when nothing differs, and when a version cannot be read', async () => {
  const user = show(
    <HistoryDialog id="i1" now={said('What falls?')} onTake={() => undefined} onClose={() => undefined} />,
  )
  expect(await screen.findByText('Version 2 says the same as the desk does now.')).toBeTruthy()
  serveAlso({ 'GET /api/items/i1/history/1': new Refusal(404, 'This version is not here.') })
  await user.click(screen.getByRole('radio', { name: '1 · Maren' }))
  expect(await screen.findByText(/This version is not here/)).toBeTruthy()
})
