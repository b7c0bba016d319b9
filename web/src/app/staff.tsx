import './staff.css'
import { QueryClientProvider, type FetchQueryOptions } from '@tanstack/react-query'
import { StrictMode, type ComponentType } from 'react'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, matchRoutes, Navigate, RouterProvider, type RouteObject } from 'react-router'
import { ask } from '@/lib/queries'
import { Boundary } from '@/ui/Boundary'
import { Loading } from '@/ui/States'
import { Said } from '@/ui/Said'
import { Toasts } from '@/ui/Toasts'
import { applyTheme } from '@/lib/theme'
import { tellFaults } from './faults'
import { NotFetched } from './NotFetched'
import { queryClient } from './queries'
import { Shell } from './Shell'

/** What has been asked for as the page came, and is not asked for a second time when the router gets there; by path. */
const asked = new Set<string>()
const fetched = (all: Asked[]) => {
  for (const one of all) void queryClient.prefetchQuery(one as FetchQueryOptions)
}

/** A desk and what it shows first, fetched side by side as soon as one goes there. */
type Params = Readonly<Record<string, string | undefined>>
type Asked = { queryKey: readonly unknown[] }
type Screen = { default: ComponentType }
const route = (
  path: string,
  load: () => Promise<Screen>,
  ahead: (params: Params, query: URLSearchParams) => Asked[] = () => [],
): RouteObject => ({
  path,
  lazy: async () => ({ Component: (await load()).default }),
  // Leafing on a desk changes the address and fetches nothing.
  shouldRevalidate: ({ currentUrl, nextUrl }) => currentUrl.pathname !== nextUrl.pathname,
  handle: (params: Params, query: URLSearchParams) => fetched(ahead(params, query)),
  loader: ({ params, request }) => {
    if (!asked.delete(path)) fetched(ahead(params, new URL(request.url).searchParams))
    return null
  },
})

/** For what is never to be a copy from before: it is dropped, and what is fetched now is kept until the desk takes it. */
const anew = <A extends Asked>(asked: A) => {
  queryClient.removeQueries({ queryKey: asked.queryKey, exact: true })
  return { ...asked, gcTime: 30_000 }
}

applyTheme()
tellFaults()

const routes: RouteObject[] = [
  // For a projector: no ladder, no names.
  {
    ...route('/wall/:id', () => import('@/features/lookout/Wall')),
    errorElement: <NotFetched />,
    HydrateFallback: Loading,
  },
  {
    ...route('/wall/class/:id', () => import('@/features/roster/CodeWall')),
    errorElement: <NotFetched />,
    HydrateFallback: Loading,
  },
  {
    path: '/',
    element: <Shell />,
    HydrateFallback: Loading,
    // Who is here is asked while the desk's parts are on their way.
    handle: () => fetched([ask.session()]),
    loader: () => null,
    shouldRevalidate: () => false,
    children: [
      {
        errorElement: <NotFetched />,
        children: [
          { index: true, element: <Navigate to="/bank" replace /> },
          route(
            'bank',
            () => import('@/features/bank/BankDesk'),
            () => [ask.terms()],
          ),
          route(
            'bank/new/:type',
            () => import('@/features/bank/ItemDesk'),
            () => [ask.terms()],
          ),
          route(
            'bank/entry',
            () => import('@/features/bank/EntryDesk'),
            () => [ask.terms()],
          ),
          route(
            'bank/terms',
            () => import('@/features/bank/TermsDesk'),
            () => [ask.terms()],
          ),
          route('bank/by-students', () => import('@/features/peers/QueueDesk')),
          route(
            'bank/:id',
            () => import('@/features/bank/ItemDesk'),
            ({ id = '' }) => [ask.item(id), ask.terms()],
          ),
          route(
            'papers',
            () => import('@/features/paper/PaperList'),
            () => [ask.papers(), ask.handouts()],
          ),
          route(
            'papers/:id',
            () => import('./PaperRoute'),
            ({ id = '' }) => [anew(ask.paper(id))],
          ),
          route('papers/:id/preview', () => import('./PreviewRoute')),
          route(
            'classes',
            () => import('@/features/roster/ClassList'),
            () => [ask.classes(), ask.handouts()],
          ),
          route(
            'classes/:id',
            () => import('@/features/roster/ClassDesk'),
            ({ id = '' }) => [ask.roster(id)],
          ),
          route(
            'handouts',
            () => import('@/features/handout/HandoutList'),
            () => [ask.handouts()],
          ),
          route(
            'handouts/new',
            () => import('@/features/handout/HandOut'),
            () => [ask.papers(), ask.classes()],
          ),
          route(
            'lookout',
            () => import('@/features/lookout/LookoutList'),
            () => [ask.handouts()],
          ),
          route(
            'lookout/:id',
            () => import('@/features/lookout/LookoutDesk'),
            ({ id = '' }) => [ask.lookout(id)],
          ),
          route(
            'lookout/:id/:entry',
            () => import('@/features/lookout/QuestionDesk'),
            ({ id = '' }) => [ask.lookout(id)],
          ),
          route(
            'marking',
            () => import('@/features/marking/MarkingList'),
            () => [ask.marking()],
          ),
          route(
            'marking/:id/:entry',
            () => import('./MarkingRoute'),
            ({ id = '', entry = '' }, query) => [ask.desk(id, entry, query.get('second') === '1')],
          ),
          route('outbox', () => import('@/features/marking/Outbox')),
          route('account', () => import('@/features/identity/AccountPage')),
          route('trail', () => import('@/features/identity/Trail')),
          route(
            'results',
            () => import('@/features/results/ResultsList'),
            () => [ask.handouts()],
          ),
          route(
            'results/:id',
            () => import('@/features/results/ResultsDesk'),
            ({ id = '' }, query) => [ask.results(id, query.get('class') ?? '')],
          ),
          route(
            'groups',
            () => import('@/features/regroup/GroupingList'),
            () => [ask.groupings()],
          ),
          route('groups/of/:handout', () => import('@/features/regroup/GroupingDesk')),
          route(
            'groups/:id',
            () => import('@/features/regroup/GroupingDesk'),
            ({ id = '' }) => [ask.grouping(id)],
          ),
          { path: '*', element: <Navigate to="/bank" replace /> },
        ],
      },
    ],
  },
  { ...route('/print/paper/:id', () => import('@/features/exchange/PrintPaper')), HydrateFallback: Loading },
]

// What is shown first is asked for before the many parts that show it: a browser asks for six things at a time.
for (const { route: of, params } of matchRoutes(routes, location) ?? []) {
  ;(of.handle as ((params: Params, query: URLSearchParams) => void) | undefined)?.(
    params,
    new URLSearchParams(location.search),
  )
  asked.add(of.path ?? '')
}
const router = createBrowserRouter(routes)

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <Boundary>
        <RouterProvider router={router} />
        <Said />
        <Toasts />
      </Boundary>
    </QueryClientProvider>
  </StrictMode>,
)
