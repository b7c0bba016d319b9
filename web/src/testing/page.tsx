import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { render } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { ReactNode } from 'react'
import { MemoryRouter, Route, Routes, useLocation } from 'react-router'
import { Toasts } from '@/ui/Toasts'

function Place() {
  const { pathname, search } = useLocation()
  return <output aria-label="address">{pathname + search}</output>
}

/** Shows a screen at an address, with what every screen has around it. Returns a user who types and clicks. */
export function show(screen: ReactNode, at = '/', pattern = '/*') {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
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
      <Toasts />
    </QueryClientProvider>,
  )
  return user
}
