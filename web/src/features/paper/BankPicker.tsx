import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { typeName } from '@/answers/registry'
import { api, take, type Schemas } from '@/lib/api/client'
import { inMarks, percent } from '@/lib/format'
import { roving } from '@/lib/roving'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { Failed, Loading } from '@/ui/States'
import { Tick } from '@/ui/Tick'

type Row = Schemas['BankItemRowView']

/** Takes questions from the bank into the paper. */
export function BankPicker({
  open,
  onClose,
  onTake,
  used,
}: {
  open: boolean
  onClose: () => void
  onTake: (items: Row[]) => void
  used: Set<string>
}) {
  const [q, setQ] = useState('')
  const [chosen, setChosen] = useState<Row[]>([])
  const list = useQuery({
    queryKey: ['items', 'to take', { q }],
    queryFn: () => take(api.GET('/api/items', { params: { query: { q } } })),
    placeholderData: keepPreviousData,
    enabled: open,
  })
  const [here, setHere] = useState<string | null>(null)
  const rove = roving(list.data?.items.map((row) => row.id) ?? [], here, setHere)
  const has = (row: Row) => chosen.some((c) => c.id === row.id)
  return (
    <Dialog
      open={open}
      onClose={onClose}
      wide
      title="Take questions from the bank"
      foot={
        <Button
          kind="do"
          disabled={chosen.length === 0}
          onClick={() => {
            onTake(chosen)
            setChosen([])
            onClose()
          }}
        >
          Take {chosen.length === 1 ? '1 question' : `${chosen.length} questions`}
        </Button>
      }
    >
      <TextField
        label="Search"
        hideLabel
        type="search"
        placeholder="words in the question"
        value={q}
        onChange={(e) => setQ(e.target.value)}
        autoFocus
      />
      {list.isPending ? <Loading /> : null}
      {list.isError ? <Failed error={list.error} /> : null}
      {list.data?.items.length === 0 ? <p className="py-4 text-quiet">No question fits these words.</p> : null}
      {list.data && list.data.total > list.data.items.length ? (
        <p className="pt-2 text-sm text-quiet">
          The latest {list.data.items.length} of {list.data.total}: a word narrows them.
        </p>
      ) : null}
      {/* Arrows go through it; the list itself takes no part in what its ticks do. */}
      <ul className="mt-2" {...rove.list}>
        {list.data?.items.map((row) => (
          <li key={row.id} className="border-b">
            <Tick
              rove={rove.item(row.id)}
              checked={has(row)}
              onChange={(on) => setChosen(on ? [...chosen, row] : chosen.filter((c) => c.id !== row.id))}
              label={
                <span className="flex gap-3">
                  <span className="min-w-0 flex-1">
                    <b>{row.title}</b>{' '}
                    {used.has(row.id) ? <span className="text-sm text-blue">in this paper</span> : null}
                    <span className="block truncate text-sm text-quiet">{row.gist}</span>
                  </span>
                  <span className="text-sm whitespace-nowrap text-quiet">
                    {typeName(row.type)} · {inMarks(row.points)}
                    {row.facility === null ? '' : ` · ${percent(row.facility)} of ${row.students}`}
                  </span>
                </span>
              }
            />
          </li>
        ))}
      </ul>
    </Dialog>
  )
}
