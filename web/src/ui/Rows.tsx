import { useVirtualizer } from '@tanstack/react-virtual'
import { ArrowDown, ArrowUp } from 'lucide-react'
import { useEffect, useRef } from 'react'
import { Link } from 'react-router'
import { roving } from '@/lib/roving'
import type { Listed } from './table'
import { Tick } from './Tick'

// Few rows are simply drawn; of many, those in sight and some around them.
const FEW = 100
const HEIGHT = 56
const AROUND = 12

const scroller = (from: HTMLElement | null): HTMLElement | null => {
  for (let el = from?.parentElement ?? null; el; el = el.parentElement)
    if (/auto|scroll/.test(getComputedStyle(el).overflowY) && el.scrollHeight > el.clientHeight) return el
  return document.scrollingElement as HTMLElement | null
}

/**
 * A list as a table: one Tab stop with arrows inside, the chosen row wears the rung, Enter opens it. The first column
 * names the row and leads to it.
 */
export function Rows<T extends { id: string }>({
  label,
  list: { table: model, rows, columns },
  to,
  chosen,
  onChoose,
  total = rows.length,
  onNeedMore,
  picks,
}: {
  label: string
  list: Listed<T>
  to: (row: T) => string
  chosen: string | undefined
  onChoose: (id: string) => void
  /** how many there are, where not all of them are here yet */
  total?: number
  onNeedMore?: () => void
  /** where several can be chosen for one act */
  picks?: { picked: ReadonlySet<string>; pick: (id: string) => void; named: (row: T) => string }
}) {
  const table = useRef<HTMLTableElement>(null)
  const many = rows.length > FEW
  const virtual = useVirtualizer({
    count: many ? rows.length : 0,
    getScrollElement: () => scroller(table.current),
    estimateSize: () => HEIGHT,
    overscan: AROUND,
  })
  const inSight = virtual.getVirtualItems()
  const [from, until] = many ? [inSight[0]?.index ?? 0, (inSight.at(-1)?.index ?? FEW) + 1] : [0, rows.length]
  const short = rows.length < total && until >= rows.length - AROUND
  useEffect(() => {
    if (short) onNeedMore?.()
  }, [short, rows.length, onNeedMore])
  const rove = roving(
    rows.map((r) => r.id),
    chosen,
    onChoose,
    many ? (at) => virtual.scrollToIndex(at) : undefined,
  )
  const space = (height: number) => (height > 0 ? <tr aria-hidden style={{ height }} /> : null)
  return (
    <table ref={table} className="w-full text-[15px]" aria-rowcount={total + 1}>
      <caption className="sr-only">{label}</caption>
      <thead>
        <tr className="border-b text-left text-sm text-quiet">
          {picks ? <td className="w-9" /> : null}
          {columns.map((c, i) => {
            const column = model.getColumn(c.id)
            const sorted = column?.getIsSorted()
            return (
              <th
                key={c.id}
                scope="col"
                aria-sort={sorted ? (sorted === 'desc' ? 'descending' : 'ascending') : undefined}
                className={`py-2 font-medium ${i === 0 ? (picks ? 'pl-2' : 'pl-6') : 'px-2'} ${c.right ? 'text-right' : ''} ${c.wide ? 'max-md:hidden' : ''} ${i === columns.length - 1 ? 'pr-5' : ''}`}
              >
                {column?.getCanSort() ? (
                  <button
                    className="inline-flex items-center gap-1 hover:text-ink"
                    onClick={() => column.toggleSorting()}
                  >
                    {c.head}
                    {sorted === 'desc' ? <ArrowDown aria-hidden className="size-3.5" /> : null}
                    {sorted === 'asc' ? <ArrowUp aria-hidden className="size-3.5" /> : null}
                  </button>
                ) : (
                  c.head
                )}
              </th>
            )
          })}
        </tr>
      </thead>
      <tbody {...rove.list}>
        {space(from * HEIGHT)}
        {rows.slice(from, until).map((row, i) => {
          const on = row.id === chosen
          return (
            <tr
              key={row.id}
              aria-rowindex={from + i + 2}
              aria-selected={on}
              style={{ height: HEIGHT }}
              className={`cursor-pointer border-b ${on ? 'bg-sheet' : 'hover:bg-pale'}`}
              onClick={() => onChoose(row.id)}
            >
              {picks ? (
                <td
                  className={`pl-3 align-middle ${on ? 'rung-row' : ''}`}
                  onClick={(event) => event.stopPropagation()}
                >
                  <Tick
                    label={<span className="sr-only">Choose {picks.named(row)}</span>}
                    checked={picks.picked.has(row.id)}
                    onChange={() => picks.pick(row.id)}
                    rove={{ tabIndex: -1 }}
                  />
                </td>
              ) : null}
              {columns.map((c, k) =>
                k === 0 ? (
                  <th
                    key={c.id}
                    scope="row"
                    className={`py-1 text-left font-normal ${picks ? 'pl-2' : 'pl-6'} ${on && !picks ? 'rung-row' : ''}`}
                  >
                    <Link
                      to={to(row)}
                      {...rove.item(row.id)}
                      className={`hover:underline ${on ? 'font-bold' : 'font-semibold'}`}
                      onClick={(event) => event.stopPropagation()}
                    >
                      {c.cell(row)}
                    </Link>
                    {c.under ? <span className="block text-sm text-quiet">{c.under(row)}</span> : null}
                  </th>
                ) : (
                  <td
                    key={c.id}
                    className={`px-2 ${c.right ? 'text-right tabular-nums' : ''} ${c.wide ? 'max-md:hidden' : ''} ${k === columns.length - 1 ? 'pr-5' : ''}`}
                  >
                    {c.cell(row)}
                  </td>
                ),
              )}
            </tr>
          )
        })}
        {space(many ? (rows.length - until) * HEIGHT : 0)}
      </tbody>
    </table>
  )
}
