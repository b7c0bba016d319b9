import { screen } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, serve } from '@/testing/server'
import { SignIn } from './SignIn'

const session = { staff: { id: 'x', name: 'Maren Ostrander', role: 'lead', team: 'Kelpwick' }, demoAccounts: [] }

describe('Signing in', () => {
  it('sends address and password, and tells who is in', async () => {
    serve({ 'POST /api/session': session })
    const done = vi.fn()
    const user = show(<SignIn demoAccounts={[]} onDone={done} />)
    await user.keyboard('maren@demo.example{Tab}high-water{Enter}')
    expect(bodies('POST', '/api/session')).toEqual([{ email: 'maren@demo.example', password: 'high-water' }])
    expect(done).toHaveBeenCalledWith(session)
    expect(screen.queryByText(/Demo data/)).toBeNull()
  })

  it('keeps what was typed when it does not fit', async () => {
    serve({ 'POST /api/session': new Refusal(422, 'This address and password do not fit together.') })
    const done = vi.fn()
    const user = show(<SignIn demoAccounts={[]} onDone={done} />)
    await user.keyboard('maren@demo.example{Tab}guess{Enter}')
    expect((await screen.findByRole('alert')).textContent).toContain('do not fit together')
    expect((screen.getByLabelText('E-mail address') as HTMLInputElement).value).toBe('maren@demo.example')
    expect(done).not.toHaveBeenCalled()
  })

  it('offers the demo accounts only where there are any', async () => {
    serve({ 'POST /api/session': session })
    const user = show(
      <SignIn
        demoAccounts={[{ email: 'suvi@demo.example', name: 'Suvi Tamarin', role: 'teacher', team: 'Kelpwick' }]}
        onDone={() => undefined}
      />,
    )
    await user.click(screen.getByRole('button', { name: /Suvi Tamarin/ }))
    expect(bodies('POST', '/api/session')).toMatchObject([{ email: 'suvi@demo.example' }])
  })
})
