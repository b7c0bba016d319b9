import { Navigate, useLocation } from 'react-router'

const HOME = '/my'

/** Whoever is not signed in joins first, and comes back to where they were led. */
export function ToJoin() {
  const { pathname } = useLocation()
  return <Navigate to={pathname === HOME ? '/join' : `/join?to=${encodeURIComponent(pathname)}`} replace />
}

/** Where joining leads: a place of the student's own and nowhere else. */
export const afterJoining = (to: string | null) => (to && /^\/my(\/(to\/)?[0-9a-f-]{36})?$/.test(to) ? to : HOME)
