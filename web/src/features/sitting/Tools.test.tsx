import { screen, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { show } from '@/testing/page'
import { Tools } from './Tools'

beforeEach(() => sessionStorage.clear())

describe('Tools beside the questions', () => {
  it('offers what was given and no more, one at a time', async () => {
    const user = show(<Tools tools={['calculator']} sitting="s1" />)
    expect(screen.queryByRole('button', { name: /Rough paper/ })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Calculator' }))
    expect(screen.getByRole('region', { name: 'Calculator' })).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Put away: Calculator' }))
    expect(screen.queryByRole('region', { name: 'Calculator' })).toBeNull()
  })

  it('works out what is pressed or typed, goes on with it, and keeps what was worked out', async () => {
    const user = show(<Tools tools={['calculator', 'rough paper']} sitting="s1" />)
    await user.click(screen.getByRole('button', { name: 'Calculator' }))
    const keys = within(screen.getByRole('region', { name: 'Calculator' }))
    for (const name of ['1', '2', 'times', '3']) await user.click(keys.getByRole('button', { name }))
    expect(keys.getByText('= 36')).toBeTruthy()
    await user.click(keys.getByRole('button', { name: 'Equals' }))
    await user.type(keys.getByLabelText('Sum'), '/5{Enter}')
    expect(keys.getByRole('list', { name: 'Sums before' }).textContent).toBe('12×3 = 3636÷5 = 7.2')
    await user.click(keys.getByRole('button', { name: 'Rub out' }))
    await user.type(keys.getByLabelText('Sum'), '+')
    expect(keys.getByText('Something is missing at the end.')).toBeTruthy()

    await user.click(screen.getByRole('button', { name: 'Rough paper' }))
    await user.click(screen.getByRole('button', { name: 'Calculator' }))
    expect(screen.getByRole('list', { name: 'Sums before' }).textContent).toContain('36÷5 = 7.2')
  })
})
