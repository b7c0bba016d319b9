import type { ReactNode } from 'react'
import { Link } from 'react-router'

/** What is said of the chosen one of a list: its name, what it leads to, and figures with their words. */
export function Aside({
  title,
  note,
  to,
  way = 'Open',
  children,
}: {
  title: string
  note?: ReactNode
  to: string
  way?: string
  children: ReactNode
}) {
  return (
    <div className="flex flex-col gap-4 text-[15px]">
      <div>
        <div className="flex items-start gap-3">
          <h2 className="min-w-0 flex-1 text-lg">{title}</h2>
          <Link to={to} className="pt-0.5 font-semibold text-blue underline">
            {way}
          </Link>
        </div>
        {note ? <p className="text-quiet">{note}</p> : null}
      </div>
      {children}
    </div>
  )
}

export function Facts({ of }: { of: readonly (readonly [what: string, is: ReactNode])[] }) {
  return (
    <dl className="grid grid-cols-[auto_1fr] border-t">
      {of.map(([what, is]) => (
        <div key={what} className="col-span-2 grid grid-cols-subgrid gap-x-4 border-b py-1.5">
          <dt className="font-semibold">{what}</dt>
          <dd className="flex justify-end text-right">{is}</dd>
        </div>
      ))}
    </dl>
  )
}
