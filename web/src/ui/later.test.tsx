import { act, render, screen } from '@testing-library/react'
import { afterEach, expect, it, vi } from 'vitest'
import { later } from './later'

afterEach(() => vi.useRealTimers())

it('a part that cannot be fetched takes nothing away, and comes once it can', async () => {
  vi.useFakeTimers()
  let online = false
  const fetch = vi.fn(() =>
    online ? Promise.resolve(({ name }: { name: string }) => <b>{name}</b>) : Promise.reject(new Error('no network')),
  )
  const Part = later(fetch, ({ name }: { name: string }) => <i>{name}, as text</i>)
  render(<Part name="Tides" />)
  expect(screen.getByText('Tides, as text')).toBeTruthy()
  await act(() => vi.advanceTimersByTimeAsync(7000))
  expect(fetch.mock.calls.length).toBeGreaterThan(1)
  expect(screen.getByText('Tides, as text')).toBeTruthy()
  online = true
  await act(() => vi.advanceTimersByTimeAsync(4000))
  expect(screen.getByText('Tides').tagName).toBe('B')
})
