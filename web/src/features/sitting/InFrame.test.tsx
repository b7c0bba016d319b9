import { screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { Refusal, serve } from '@/testing/server'
import Join from './Join'

const WORK = '0190a0a0-0000-7000-8000-00000000000a'
vi.mock('@/lib/framed', () => ({
  FRAME: '/framed/0190a0a0-0000-7000-8000-00000000000a',
  FRAMED_WORK: '0190a0a0-0000-7000-8000-00000000000a',
}))

const joinFrom = async (kept: unknown) => {
  serve({ 'POST /api/join': { name: 'Ada Okafor' }, 'GET /api/me': kept })
  const user = show(<Join />, `/join?code=WPWLP&to=/my/to/${WORK}`, '/join')
  await user.keyboard('Ada Okafor{Tab}123456{Enter}')
}

describe('Joining within a page of others', () => {
  beforeEach(() => serve({}))

  it('leads to the work where the browser keeps who has joined', async () => {
    await joinFrom({ name: 'Ada Okafor', id: 'a' })
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe(`/my/to/${WORK}`))
  })

  it('says so where the browser keeps nobody, and leads to a page of its own', async () => {
    await joinFrom(new Refusal(401, 'Nobody is signed in.'))
    expect((await screen.findByRole('alert')).textContent).toContain('keeps nobody signed in on a page within another')
    expect(screen.getByRole('link', { name: 'Open it by itself' }).getAttribute('href')).toBe(`/my/to/${WORK}`)
    expect(screen.getByLabelText('address').textContent).toContain('/join')
  })
})
