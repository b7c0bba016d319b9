import { useRef, type ReactNode } from 'react'
import { useAddress, useLeafing } from '@/lib/address'
import { useKeys, type Acts } from '@/lib/keys'
import { holds, sortingOf, sortingText, type Sorting } from '@/lib/sorting'
import { Button } from './Button'
import { Desk, Head } from './Desk'
import { Pick } from './Pick'
import { Rows } from './Rows'
import { SearchField } from './SearchField'
import { Empty, Failed, Loading } from './States'
import { useListed, type Column } from './table'

const ALL = 'all'

/**
 * A list that shows what the next decision needs: searched, sorted, some of it picked, and what can be said of the
 * chosen one at its right. Where one is stands in the address.
 */
export function ListDesk<T extends { id: string }>({
  title,
  note,
  label,
  acts,
  keys = {},
  list,
  columns,
  first,
  words,
  picks,
  to,
  empty,
  panel,
}: {
  title: string
  note?: string
  /** what the list holds, for those who listen */
  label: string
  acts?: ReactNode
  keys?: Acts
  list: { data: readonly T[] | undefined; error: unknown; refetch: () => unknown }
  columns: readonly Column<T>[]
  /** how it is sorted before anybody says otherwise; null: as it comes */
  first: Sorting | null
  /** what a search looks at */
  words: (row: T) => string
  picks?: readonly { value: string; label: string; of: (row: T) => boolean }[]
  to: (row: T) => string
  empty: ReactNode
  panel: (row: T) => ReactNode
}) {
  const { at, set, clear } = useAddress()
  const search = useRef<HTMLInputElement>(null)
  const q = at('q')
  const pick = at('show')
  const sorting = sortingOf(at('sort'), first ?? { by: '', down: false })
  const all = list.data ?? []
  const picked = picks?.find((p) => p.value === pick)
  const found = all.filter((row) => holds(words(row), q))
  const kept = picked ? found.filter(picked.of) : found
  const shown = useListed(kept, columns, sorting, (next) => set('sort', sortingText(next)))
  const rows = shown.rows
  const chosen = rows.find((r) => r.id === at('open')) ?? rows[0]
  const { goTo, step } = useLeafing(rows, chosen?.id, (id) => set('open', id))
  useKeys({
    '/': { label: `Search in ${title.toLowerCase()}`, run: () => search.current?.focus() },
    j: { label: 'Next in the list', run: () => step(1) },
    k: { label: 'Previous in the list', run: () => step(-1) },
    ...keys,
  })
  return (
    <>
      <Head title={title} note={note}>
        {all.length > 0 ? (
          <div className="w-64">
            <SearchField
              ref={search}
              label={`Search in ${title.toLowerCase()}`}
              hideLabel
              placeholder="Search"
              value={q}
              onSearch={(typed) => set('q', typed)}
            />
          </div>
        ) : null}
        {acts}
      </Head>
      {list.data === undefined ? (
        list.error ? (
          <Failed error={list.error} retry={() => void list.refetch()} />
        ) : (
          <Loading />
        )
      ) : all.length === 0 ? (
        empty
      ) : (
        <Desk rightLabel="The chosen one" right={chosen ? <div key={chosen.id}>{panel(chosen)}</div> : undefined}>
          {picks ? (
            <div className="border-b px-6 py-2 text-[15px]">
              <Pick
                label="Which are shown"
                value={picked ? pick : ALL}
                onChange={(value) => set('show', value === ALL ? '' : value)}
                options={[
                  { value: ALL, label: `All ${found.length}` },
                  ...picks.map((p) => ({ value: p.value, label: `${p.label} ${found.filter(p.of).length}` })),
                ]}
              />
            </div>
          ) : null}
          {rows.length === 0 ? (
            <Empty title="Nothing fits">
              <Button onClick={clear}>Show all {all.length}</Button>
            </Empty>
          ) : (
            <Rows label={label} list={shown} to={to} chosen={chosen?.id} onChoose={goTo} />
          )}
        </Desk>
      )}
    </>
  )
}
