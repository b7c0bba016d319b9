import { screen, waitFor } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import Join from './Join'
import OwnAccount from './OwnAccount'

const field = (label: string) => screen.getByLabelText(label) as HTMLInputElement

describe('An account of one’s own', () => {
  it('is taken by what stands on the slip, and refused without losing what was typed', async () => {
    let right = false
    serve({
      'GET /api/me/account': { account: null },
      'PUT /api/me/account': () =>
        right
          ? { account: 'keel' }
          : new Refusal(422, 'Not taken.', '', { pin: 'This is not what stands on your slip.' }),
    })
    const user = show(<OwnAccount />, '/my/account', '/my/account')
    await user.click(await screen.findByRole('button', { name: 'Take this account' }))
    expect(await screen.findByText('✕ Take at least 8 characters.')).toBeTruthy()
    expect(sent('PUT', '/api/me/account')).toHaveLength(0)
    await user.type(field('Name'), 'keel')
    await user.type(field('Password'), 'low water 1')
    await user.type(field('PIN'), '000000{Enter}')
    expect(await screen.findByText('✕ This is not what stands on your slip.')).toBeTruthy()
    expect([field('Name').value, field('Password').value]).toEqual(['keel', 'low water 1'])
    right = true
    await user.clear(field('PIN'))
    await user.type(field('PIN'), '123456{Enter}')
    expect(await screen.findByText(/You come in as/)).toBeTruthy()
    expect(bodies('PUT', '/api/me/account').at(-1)).toEqual({ account: 'keel', password: 'low water 1', pin: '123456' })
    expect(field('New password').value).toBe('')
  })

  it('is closed after it was asked for', async () => {
    serve({ 'GET /api/me/account': { account: 'keel' }, 'DELETE /api/me/account': null })
    const user = show(<OwnAccount />, '/my/account', '/my/account')
    await user.click(await screen.findByRole('button', { name: 'Close the account' }))
    expect(sent('DELETE', '/api/me/account')).toHaveLength(0)
    await user.click(await screen.findByRole('button', { name: 'Close it' }))
    expect(await screen.findByRole('button', { name: 'Take this account' })).toBeTruthy()
    expect(sent('DELETE', '/api/me/account')).toHaveLength(1)
  })

  it('brings in without class code, and leads back to the slip', async () => {
    serve({ 'POST /api/join/account': { name: 'Ada Okafor', id: 'a' } })
    const user = show(<Join />, '/join', '/join')
    const turn = (to: string) => user.click(screen.getByRole('button', { name: to }))
    await turn('I have an account of my own')
    await screen.findByLabelText('Name of your account')
    await turn('I have a class code')
    expect(screen.getByLabelText('Class code')).toBeTruthy()
    await turn('I have an account of my own')
    await user.type(await screen.findByLabelText('Name of your account'), 'keel{Tab}low water 1{Enter}')
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/my'))
    expect(bodies('POST', '/api/join/account')).toEqual([{ account: 'keel', password: 'low water 1' }])
  })
})
