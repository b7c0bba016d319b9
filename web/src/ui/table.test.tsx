import { screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { expect, it } from 'vitest'
import type { Sorting } from '@/lib/sorting'
import { show } from '@/testing/page'
import { Rows } from './Rows'
import { useListed, type Column } from './table'

type Row = { id: string; name: string; marks: number | null }

const ROWS: Row[] = [
  { id: 'a', name: 'paper 10', marks: 3 },
  { id: 'b', name: 'Paper 2', marks: null },
  { id: 'c', name: 'chart', marks: 1 },
  { id: 'd', name: 'deep', marks: 3 },
]
const COLUMNS: Column<Row>[] = [
  { id: 'name', head: 'Paper', cell: (r) => r.name, sort: (r) => r.name },
  { id: 'marks', head: 'Marks', cell: (r) => r.marks ?? '–', sort: (r) => r.marks, right: true },
  { id: 'note', head: 'Note', cell: () => '' },
]

function List({ there = false }: { there?: boolean }) {
  const [sorting, setSorting] = useState<Sorting>({ by: '', down: false })
  const list = useListed(ROWS, COLUMNS, sorting, setSorting, there)
  return <Rows label="Papers" list={list} to={(r) => `/${r.id}`} chosen={undefined} onChoose={() => undefined} />
}

const names = () => screen.getAllByRole('rowheader').map((cell) => cell.textContent)

it('a list is sorted by its headings: numbers by size, what has none last either way, equals as they came', async () => {
  show(<List />)
  expect(names()).toEqual(['paper 10', 'Paper 2', 'chart', 'deep'])
  await userEvent.click(screen.getByRole('button', { name: 'Marks' }))
  expect(names()).toEqual(['chart', 'paper 10', 'deep', 'Paper 2'])
  expect(screen.getByRole('columnheader', { name: 'Marks' }).getAttribute('aria-sort')).toBe('ascending')
  await userEvent.click(screen.getByRole('button', { name: 'Marks' }))
  expect(names()).toEqual(['paper 10', 'deep', 'chart', 'Paper 2'])
  expect(screen.getByRole('columnheader', { name: 'Marks' }).getAttribute('aria-sort')).toBe('descending')
  await userEvent.click(screen.getByRole('button', { name: 'Paper' }))
  expect(names()).toEqual(['chart', 'deep', 'Paper 2', 'paper 10'])
  expect(within(screen.getByRole('columnheader', { name: 'Note' })).queryByRole('button')).toBeNull()
})

it('a list that the server sorts stays as it came', async () => {
  show(<List there />)
  await userEvent.click(screen.getByRole('button', { name: 'Marks' }))
  expect(names()).toEqual(['paper 10', 'Paper 2', 'chart', 'deep'])
})
