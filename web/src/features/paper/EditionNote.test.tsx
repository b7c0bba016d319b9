import { screen } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { Refusal, serve, serveAlso } from '@/testing/server'
import { EditionNote } from './EditionNote'

const view = { id: 'p1', version: 4, edition: 2, ahead: true } as never
beforeEach(() =>
  serve({
    'GET /api/papers/p1/editions': {
      draft: [
        { says: '“Low water” is worth 2; it was 1.', where: 'e1' },
        { says: 'Section “Second” is gone.', where: '' },
      ],
      editions: [
        { id: 'b', number: 2, madeAt: '2026-11-20T09:00:00Z', madeBy: 'Maren Ostrander', differences: [] },
        { id: 'a', number: 1, madeAt: '2026-11-10T09:00:00Z', madeBy: 'Suvi Tamarin', differences: null },
      ],
    },
  }),
)

describe('The editions of a paper', () => {
  it('say what each changed, and what the draft would, with the way there', async () => {
    const onGo = vi.fn()
    const user = show(<EditionNote view={view} onGo={onGo} />)
    await user.click(screen.getByRole('button', { name: 'Edition 2, draft is ahead' }))
    expect(await screen.findByText('It says the same as the one before.')).toBeTruthy()
    expect(screen.getByText('The first one that stands here.')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Section “Second” is gone.' })).toBeNull()
    await user.click(screen.getByRole('button', { name: '“Low water” is worth 2; it was 1.' }))
    expect(onGo).toHaveBeenCalledWith('e1')
    expect(screen.queryByRole('dialog')).toBeNull()
  })

  it('say when they cannot be compared', async () => {
    serveAlso({ 'GET /api/papers/p1/editions': new Refusal(500, 'This did not work.') })
    const user = show(<EditionNote view={view} onGo={() => undefined} />)
    await user.click(screen.getByRole('button', { name: /Edition 2/ }))
    expect(await screen.findByText(/This did not work/)).toBeTruthy()
  })
})
