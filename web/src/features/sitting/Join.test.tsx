import { screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { bodies, Refusal, sent, serve } from '@/testing/server'
import Join from './Join'

const code = () => screen.getByLabelText('Class code') as HTMLInputElement
const pin = () => screen.getByLabelText('PIN') as HTMLInputElement
const name = () => screen.getByLabelText('Your name, as on your slip') as HTMLInputElement

describe('Joining', () => {
  it('takes the code from the link, and the rest from the slip', async () => {
    serve({ 'POST /api/join': { name: 'Ada Okafor' } })
    const user = show(<Join />, '/join?code=WPWLP', '/join')
    expect(code().value).toBe('WPWLP')
    expect(document.activeElement).toBe(name())
    await user.keyboard('Ada Okafor{Tab}123456{Enter}')
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/my'))
    expect(bodies('POST', '/api/join')).toEqual([{ code: 'WPWLP', name: 'Ada Okafor', pin: '123456' }])
  })

  it('takes three pictures in the place of a PIN, and says when there are none', async () => {
    serve({ 'POST /api/join': { name: 'Ada Okafor' } })
    const user = show(<Join />, '/join?code=WPWLP', '/join')
    await user.type(name(), 'Ada Okafor')
    await user.click(screen.getByRole('button', { name: 'I have three pictures' }))
    await user.click(screen.getByRole('button', { name: 'Join' }))
    expect(await screen.findByText('Type your PIN.')).toBeTruthy()
    const pad = within(await screen.findByRole('group', { name: /three pictures/ }))
    for (const thing of ['boat', 'boat', 'crab']) await user.click(pad.getByRole('button', { name: thing }))
    expect((pad.getByRole('button', { name: 'gull' }) as HTMLButtonElement).disabled).toBe(true)
    await user.click(pad.getByRole('button', { name: 'Back' }))
    await user.click(pad.getByRole('button', { name: 'gull' }))
    await user.click(screen.getByRole('button', { name: 'Join' }))
    await waitFor(() => expect(screen.getByLabelText('address').textContent).toBe('/my'))
    expect(bodies('POST', '/api/join')).toEqual([
      { code: 'WPWLP', name: 'Ada Okafor', pictures: ['boat', 'boat', 'gull'] },
    ])
  })

  it('says what does not fit and keeps what was typed', async () => {
    serve({
      'POST /api/join': new Refusal(
        422,
        'Code, name and PIN do not fit together.',
        'Check all three against your slip.',
        { pin: 'Code, name and PIN do not fit together.' },
      ),
    })
    const user = show(<Join />, '/join')
    await user.type(code(), 'wpwlp')
    await user.type(name(), 'Ada')
    await user.type(pin(), '1{Enter}')
    expect((await screen.findByRole('alert')).textContent).toContain('Check all three against your slip.')
    expect(pin().getAttribute('aria-invalid')).toBe('true')
    expect([code().value, name().value, pin().value]).toEqual(['wpwlp', 'Ada', '1'])
  })

  it('says so when the server cannot be reached', async () => {
    serve({ 'POST /api/join': () => Promise.reject(new TypeError('network')) })
    const user = show(<Join />, '/join?code=X')
    await user.keyboard('Ada')
    await user.type(pin(), '123456{Enter}')
    expect((await screen.findByRole('alert')).textContent).toContain('What you typed is still here.')
  })

  it('asks for what is missing before anything is sent', async () => {
    serve({})
    const user = show(<Join />, '/join?code=X')
    await user.keyboard('Ada{Enter}')
    expect(await screen.findByText(/Type your PIN\./)).toBeTruthy()
    expect(document.activeElement).toBe(pin())
    expect(sent('POST', '/api/join')).toEqual([])
  })
})
