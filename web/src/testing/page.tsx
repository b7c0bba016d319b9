import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent, { type UserEvent } from '@testing-library/user-event'
import type { ReactNode } from 'react'
import { expect } from 'vitest'
import { MemoryRouter, Route, Routes, useLocation } from 'react-router'
import { Said } from '@/ui/Said'
import { Toasts } from '@/ui/Toasts'

function Place() {
  const { pathname, search } = useLocation()
  return <output aria-label="address">{pathname + search}</output>
}

/** Shows a screen at an address, with what every screen has around it. Returns a user who types and clicks. */
export function show(
  screen: ReactNode,
  at = '/',
  pattern = '/*',
  client = new QueryClient({ defaultOptions: { queries: { retry: false } } }),
) {
  const user = userEvent.setup()
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[at]}>
        <Routes>
          <Route path={pattern} element={screen} />
          <Route path="*" element={null} />
        </Routes>
        <Place />
      </MemoryRouter>
      <Said />
      <Toasts />
    </QueryClientProvider>,
  )
  return user
}

const list = () => screen.findByRole('listbox')

/** Opens a list to choose from and takes what is written there. */
export async function pickFrom(user: UserEvent, field: HTMLElement, label: string | RegExp) {
  await user.click(field)
  await user.click(await within(await list()).findByRole('option', { name: label }))
}

/** What a list offers, once it offers so many. */
export async function offered(user: UserEvent, field: HTMLElement, least = 1) {
  await user.click(field)
  const shown = await list()
  await waitFor(() => expect(within(shown).getAllByRole('option').length).toBeGreaterThanOrEqual(least))
  const labels = within(shown)
    .getAllByRole('option')
    .map((o) => o.textContent)
  await user.keyboard('{Escape}')
  return labels
}
