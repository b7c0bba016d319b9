import '@/styles.css'
import { QueryClientProvider } from '@tanstack/react-query'
import { lazy, StrictMode, Suspense } from 'react'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router'
import { Boundary } from '@/ui/Boundary'
import { Loading } from '@/ui/States'
import { Toasts } from '@/ui/Toasts'
import { applyTheme } from '@/lib/theme'
import { tellFaults } from './faults'
import { queryClient } from './queries'
import { Shell } from './Shell'

const BankDesk = lazy(() => import('@/features/bank/BankDesk'))
const ItemDesk = lazy(() => import('@/features/bank/ItemDesk'))
const PaperList = lazy(() => import('@/features/paper/PaperList'))
const PaperRoute = lazy(() => import('./PaperRoute'))
const PreviewRoute = lazy(() => import('./PreviewRoute'))
const ClassList = lazy(() => import('@/features/roster/ClassList'))
const ClassDesk = lazy(() => import('@/features/roster/ClassDesk'))
const HandoutList = lazy(() => import('@/features/handout/HandoutList'))
const HandOut = lazy(() => import('@/features/handout/HandOut'))
const LookoutList = lazy(() => import('@/features/lookout/LookoutList'))
const LookoutDesk = lazy(() => import('@/features/lookout/LookoutDesk'))
const MarkingList = lazy(() => import('@/features/marking/MarkingList'))
const MarkingRoute = lazy(() => import('./MarkingRoute'))
const Outbox = lazy(() => import('@/features/marking/Outbox'))
const ResultsList = lazy(() => import('@/features/results/ResultsList'))
const ResultsDesk = lazy(() => import('@/features/results/ResultsDesk'))
const GroupingList = lazy(() => import('@/features/regroup/GroupingList'))
const GroupingDesk = lazy(() => import('@/features/regroup/GroupingDesk'))
const Trail = lazy(() => import('@/features/identity/Trail'))
const AccountPage = lazy(() => import('@/features/identity/AccountPage'))
const PrintPaper = lazy(() => import('@/features/exchange/PrintPaper'))

applyTheme()
tellFaults()

const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    children: [
      { index: true, element: <Navigate to="/bank" replace /> },
      { path: 'bank', element: <BankDesk /> },
      { path: 'bank/new/:type', element: <ItemDesk /> },
      { path: 'bank/:id', element: <ItemDesk /> },
      { path: 'papers', element: <PaperList /> },
      { path: 'papers/:id', element: <PaperRoute /> },
      { path: 'papers/:id/preview', element: <PreviewRoute /> },
      { path: 'classes', element: <ClassList /> },
      { path: 'classes/:id', element: <ClassDesk /> },
      { path: 'handouts', element: <HandoutList /> },
      { path: 'handouts/new', element: <HandOut /> },
      { path: 'lookout', element: <LookoutList /> },
      { path: 'lookout/:id', element: <LookoutDesk /> },
      { path: 'marking', element: <MarkingList /> },
      { path: 'marking/:id/:entry', element: <MarkingRoute /> },
      { path: 'outbox', element: <Outbox /> },
      { path: 'account', element: <AccountPage /> },
      { path: 'trail', element: <Trail /> },
      { path: 'results', element: <ResultsList /> },
      { path: 'results/:id', element: <ResultsDesk /> },
      { path: 'groups', element: <GroupingList /> },
      { path: 'groups/of/:handout', element: <GroupingDesk /> },
      { path: 'groups/:id', element: <GroupingDesk /> },
      { path: '*', element: <Navigate to="/bank" replace /> },
    ],
  },
  {
    path: '/print/paper/:id',
    element: (
      <Suspense fallback={<Loading />}>
        <PrintPaper />
      </Suspense>
    ),
  },
])

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <Boundary>
        <RouterProvider router={router} />
        <Toasts />
      </Boundary>
    </QueryClientProvider>
  </StrictMode>,
)
