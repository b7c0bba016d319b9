import { createSortedRowModel, rowSortingFeature, tableFeatures, useTable } from '@tanstack/react-table'
import { useMemo, type ReactNode } from 'react'
import { ordered, type Sorting } from '@/lib/sorting'

export type Column<T> = {
  id: string
  head: ReactNode
  cell: (row: T) => ReactNode
  /** a quieter line below, for the column that names the row */
  under?: (row: T) => ReactNode
  /** what the list is sorted by here; without, it cannot be */
  sort?: (row: T) => string | number | null
  right?: boolean
  /** not on a phone */
  wide?: boolean
}

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel() })
type Features = typeof features
const NONE: readonly never[] = []

/**
 * The rows of a list in their order, by TanStack Table: sorted here, or `there` by the server that sends them. What has no value
 * in the column comes last either way, and equals keep their order.
 */
export function useListed<T extends { id: string }>(
  rows: readonly T[] | undefined,
  columns: readonly Column<T>[],
  sorting: Sorting,
  onSort: (sorting: Sorting) => void,
  there = false,
) {
  const defs = useMemo(
    () =>
      columns.map((column) => ({
        id: column.id,
        accessorFn: (row: T) => column.sort?.(row) ?? undefined,
        enableSorting: column.sort !== undefined,
        sortDescFirst: false,
        sortUndefined: 'last' as const,
        sortFn: (a: { getValue: (id: string) => unknown }, b: { getValue: (id: string) => unknown }, id: string) =>
          ordered(a.getValue(id) as string | number, b.getValue(id) as string | number),
      })),
    [columns],
  )
  const state = sorting.by === '' ? [] : [{ id: sorting.by, desc: sorting.down }]
  const table = useTable<Features, T>({
    features,
    columns: defs,
    data: (rows ?? NONE) as T[],
    getRowId: (row) => row.id,
    enableSortingRemoval: false,
    manualSorting: there,
    state: { sorting: state },
    onSortingChange: (change) => {
      const [next] = typeof change === 'function' ? change(state) : change
      if (next) onSort({ by: next.id, down: next.desc })
    },
  })
  return { table, columns, rows: table.getRowModel().rows.map((row) => row.original) }
}

export type Listed<T extends { id: string }> = ReturnType<typeof useListed<T>>
