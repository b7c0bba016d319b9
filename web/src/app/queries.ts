import { QueryClient } from '@tanstack/react-query'
import { Problem } from '@/lib/api/client'

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 5000,
      retry: (count, error) => count < 2 && error instanceof Problem && (error.status === 0 || error.status >= 500),
    },
  },
})
