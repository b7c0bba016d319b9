import { useQuery, useQueryClient } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useLayoutEffect, useRef, useState } from 'react'
import { Navigate, NavLink, Outlet, useLocation, useNavigate } from 'react-router'
import { ask } from '@/lib/queries'
import { api, take, type Schemas } from '@/lib/api/client'
import { arrive, useFocusKeeper } from '@/lib/focus'
import { setKeysOn, useKeys, useKeysOn } from '@/lib/keys'
import { inTab } from '@/lib/remembered'
import { sessionResumed, useSessionEnded } from '@/lib/session'
import { chooseTheme, theme } from '@/lib/theme'
import { Boundary } from '@/ui/Boundary'
import { KeySheet } from '@/ui/KeySheet'
import { Menu } from '@/ui/Menu'
import { Failed, Loading } from '@/ui/States'
import { clearToasts } from '@/ui/toast'
import { Stale } from './Stale'

// Whoever is inside already needs no door.
const SignIn = lazy(() => import('@/features/identity/SignIn').then((door) => ({ default: door.SignIn })))
const SignInAgain = lazy(() => import('@/features/identity/SignIn').then((door) => ({ default: door.SignInAgain })))

const STAGES = [
  { to: '/bank', label: 'Bank' },
  { to: '/papers', label: 'Papers' },
  { to: '/classes', label: 'Classes' },
  { to: '/handouts', label: 'Handouts' },
  { to: '/lookout', label: 'Lookout' },
  { to: '/marking', label: 'Marking', markers: true },
  { to: '/results', label: 'Results' },
  { to: '/groups', label: 'Groups' },
]

/** The ladder: its rungs are the stages of the job in their order; the current one is drawn solid. */
function LadderNav({ stages, waiting }: { stages: typeof STAGES; waiting: number }) {
  const ladder = useRef<HTMLElement>(null)
  const { pathname } = useLocation()
  // On a phone the ladder lies flat and is longer than the screen.
  useEffect(() => {
    // Some browsers answer with a promise, which is no way to clean up.
    void ladder.current?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' })
  }, [pathname])
  return (
    <nav
      ref={ladder}
      aria-label="Stages"
      className="relative flex flex-1 flex-row overflow-x-auto md:ml-[14px] md:w-[62px] md:flex-1 md:flex-col md:overflow-visible md:border-x-2 md:border-line md:pt-3"
    >
      {stages.map((stage) => (
        <NavLink
          key={stage.to}
          to={stage.to}
          className={({ isActive }) =>
            `relative block h-[58px] px-3 pt-5 text-center text-[13px] md:px-0 ${isActive ? 'font-bold text-ink' : 'text-quiet hover:text-ink'}`
          }
        >
          {({ isActive }) => (
            <>
              <span
                aria-hidden
                className={`absolute inset-x-0 md:-inset-x-0.5 ${isActive ? 'top-[8px] h-[7px] bg-rung' : 'top-[10px] h-[3px] bg-line'}`}
              />
              {stage.label}
              {stage.to === '/marking' && waiting > 0 ? (
                <span className="block text-xs leading-none font-bold text-rung">
                  {waiting}
                  <span className="sr-only"> {waiting === 1 ? 'answer waits' : 'answers wait'}</span>
                </span>
              ) : null}
            </>
          )}
        </NavLink>
      ))}
    </nav>
  )
}

function Account({
  staff,
  onLeave,
  onKeys,
}: {
  staff: Schemas['IdentityStaffView']
  onLeave: () => void
  onKeys: () => void
}) {
  const { name, team } = staff
  const [now, setNow] = useState(theme())
  const keysOn = useKeysOn()
  const navigate = useNavigate()
  const go = (id: string, label: string, to: string) => ({ id, label, run: () => void navigate(to) })
  const next = now === 'dark' ? 'light' : 'dark'
  return (
    <Menu
      face={name.split(' ')[0]}
      label={`Account of ${name}`}
      size="small"
      className="m-2 min-h-8 overflow-hidden md:w-[66px]"
      side="top"
      align="start"
      head={
        <>
          {name}
          <br />
          {team}
        </>
      }
      acts={[
        go('account', 'Account: devices and password', '/account'),
        ...(staff.role === 'marker'
          ? []
          : [go('trail', 'Trail: who changed what', '/trail'), go('outbox', 'Outbox', '/outbox')]),
        { id: 'keys', label: keysOn ? 'Keys on this screen' : 'Keys: turn them on', run: onKeys },
        {
          id: 'theme',
          label: next === 'light' ? 'Light paper' : 'Dark slate',
          run: () => {
            chooseTheme(next)
            setNow(next)
          },
        },
        { id: 'leave', label: 'Sign out', run: onLeave },
      ]}
    />
  )
}

export function Shell() {
  const client = useQueryClient()
  const navigate = useNavigate()
  const session = useQuery(ask.session())
  // Who is at this desk: a session that ends does not take it from them.
  const [inside, setInside] = useState<Schemas['IdentityStaffView'] | null>(null)
  const seen = session.data?.staff ?? null
  if (seen && seen !== inside) setInside(seen)
  const staff = seen ?? inside
  const refused = useSessionEnded()
  // A refusal is looked into: who is still signed in, in another tab perhaps, just goes on.
  useEffect(() => {
    if (!refused) return
    void client.fetchQuery({ ...ask.session(), staleTime: 0 }).then(
      (now) => {
        if (now.staff && now.staff.id === inside?.id) sessionResumed()
      },
      () => undefined,
    )
  }, [refused, client, inside?.id])
  const ended = refused || (inside !== null && session.data !== undefined && seen === null)
  const waiting = useQuery({
    ...ask.marking(),
    enabled: Boolean(staff) && !ended,
    staleTime: 20_000,
  })
  const { pathname } = useLocation()
  const [keys, setKeys] = useState(false)
  useFocusKeeper()
  const path = useRef(pathname)
  useLayoutEffect(() => {
    if (path.current === pathname) return
    path.current = pathname
    arrive()
  }, [pathname])
  const marker = staff?.role === 'marker'
  const stages = STAGES.filter((stage) => !marker || stage.markers)
  useKeys(
    Object.fromEntries(
      stages.map((stage, i) => [
        `Alt+${i + 1}`,
        { label: `Go to ${stage.label}`, run: () => void navigate(stage.to), inFields: true },
      ]),
    ),
  )
  if (session.isPending) return <Loading what="Opening" />
  if (!session.data) return <Failed error={session.error} retry={() => void session.refetch()} />
  if (!staff)
    return (
      <Suspense fallback={<Loading what="Opening" />}>
        <SignIn
          demoAccounts={session.data?.demoAccounts ?? []}
          onDone={(next) => {
            // What was asked for at the closed door is asked for anew.
            sessionResumed()
            client.setQueryData(['session'], next)
          }}
        />
      </Suspense>
    )
  // A marker's job is marking; nothing else of the team's is open to them, beside their own account.
  if (marker && pathname !== '/account' && !stages.some((stage) => pathname.startsWith(stage.to)))
    return <Navigate to={stages[0]!.to} replace />
  const leave = async () => {
    await take(api.DELETE('/api/session'))
    inTab.clear()
    clearToasts()
    // The session first: asking for it anew takes every screen away, and then nothing of theirs is kept.
    setInside(null)
    await client.resetQueries({ queryKey: ['session'] })
    client.removeQueries({ predicate: (query) => query.queryKey[0] !== 'session' })
  }
  const back = (next: Schemas['IdentitySessionView']) => {
    // Nobody finds another's desk, nor what they had typed.
    if (next.staff?.id !== staff.id) {
      inTab.clear()
      location.reload()
      return
    }
    client.setQueryData(['session'], next)
    sessionResumed()
    void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' })
  }
  return (
    <div className="flex h-dvh flex-col md:flex-row print:block print:h-auto">
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-2">
        Skip to the desk
      </a>
      <div className="no-print flex shrink-0 items-center border-b md:w-[92px] md:flex-col md:items-start md:border-b-0">
        <LadderNav stages={stages} waiting={waiting.data?.waiting ?? 0} />
        <Account
          staff={staff}
          onLeave={() => void leave()}
          onKeys={() => {
            setKeysOn(true)
            setKeys(true)
          }}
        />
      </div>
      <main
        id="main"
        className="flex min-h-0 min-w-0 flex-1 flex-col overflow-auto lg:overflow-hidden print:block print:overflow-visible"
      >
        <Stale />
        <Boundary>
          <Suspense fallback={<Loading />}>
            <Outlet />
          </Suspense>
        </Boundary>
      </main>
      <KeySheet open={keys} onOpen={setKeys} />
      {ended ? (
        <Suspense>
          <SignInAgain
            name={staff.name}
            demoAccounts={session.data?.demoAccounts ?? []}
            onDone={back}
            onSomebodyElse={() => {
              inTab.clear()
              location.assign('/')
            }}
          />
        </Suspense>
      ) : null}
    </div>
  )
}
