import type { ReactNode } from 'react'
import { Link } from 'react-router'

/** A student's name that leads to their work at a handout; going back leads here again. */
export function ToWork({
  handoutId,
  studentId,
  children,
}: {
  handoutId: string
  studentId: string
  children: ReactNode
}) {
  return (
    <Link to={`/lookout/${handoutId}?student=${studentId}`} className="hover:underline">
      {children}
    </Link>
  )
}
