import { Link } from 'react-router'
import type { Schemas } from '@/lib/api/client'
import { percent } from '@/lib/format'
import type { Row } from './rows'

/** Which questions go wrong now? Shares of the answers so far, the lowest first. */
export function Splits({
  handoutId,
  columns,
  rows,
}: {
  handoutId: string
  columns: Schemas['LookoutColumnView'][]
  rows: Row[]
}) {
  const shares = columns
    .map((c) => {
      const cells = rows
        .map((r) => r.cells[c.entry]?.code)
        .filter((code) => code === 'right' || code === 'part' || code === 'wrong')
      const right = cells.filter((code) => code === 'right').length
      return { ...c, n: cells.length, right, share: cells.length > 0 ? right / cells.length : 1 }
    })
    .filter((c) => c.n > 0)
    .sort((a, b) => a.share - b.share)
  return (
    <section>
      <h2 className="text-lg">Which questions go wrong now?</h2>
      {shares.length === 0 ? <p className="text-quiet">No answer has come in yet.</p> : null}
      <ol className="mt-2 flex flex-col gap-2.5">
        {shares.map((c) => (
          <li key={c.entry}>
            <p className="flex items-baseline gap-2 text-[15px]">
              <b className="tabular-nums">{c.number}</b>
              <Link to={`/lookout/${handoutId}/${c.entry}`} className="min-w-0 flex-1 truncate hover:underline">
                {c.title}
              </Link>
              <span className="whitespace-nowrap tabular-nums">
                {percent(c.share)} of {c.n}
              </span>
            </p>
            <svg aria-hidden viewBox="0 0 100 6" preserveAspectRatio="none" className="h-1.5 w-full">
              <rect width="100" height="6" className="fill-r0" />
              <rect width={100 * c.share} height="6" className="fill-r3" />
            </svg>
          </li>
        ))}
      </ol>
      <p className="mt-3 text-sm text-quiet">Share of answers that are right, at the latest try.</p>
    </section>
  )
}
