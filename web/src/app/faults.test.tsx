import { act, render, screen } from '@testing-library/react'
import { beforeAll, expect, it } from 'vitest'
import { Problem } from '@/lib/api/client'
import { Toasts } from '@/ui/Toasts'
import { tellFaults } from './faults'

/** What a browser does with a promise that failed and that nobody listened to. */
function unheard(reason: unknown) {
  const event = Object.assign(new Event('unhandledrejection', { cancelable: true }), { reason })
  act(() => void window.dispatchEvent(event))
  return event
}
beforeAll(tellFaults)

it('a refusal that no screen took up is told, with what to do next', async () => {
  render(<Toasts />)
  const event = unheard(new Problem(0, 'The server cannot be reached.', 'Check the connection.'))
  expect(
    await screen.findByText('✕ The server cannot be reached. Check the connection.', { exact: false }),
  ).toBeTruthy()
  expect(event.defaultPrevented).toBe(true)
})

it('a fault of the program is left to those who look for it', async () => {
  render(<Toasts />)
  await screen.findByRole('region', { name: /What happened|Messages/ })
  expect(unheard(new TypeError('x is undefined')).defaultPrevented).toBe(false)
  expect(screen.queryByText(/undefined/)).toBeNull()
})
