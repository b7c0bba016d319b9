import { useQuery, useQueryClient } from '@tanstack/react-query'
import { X } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import * as z from 'zod/mini'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import { Tip } from '@/ui/Tip'
import { toast } from '@/ui/toast'

const KEY = ['searches']
const shape = z.object({ name: asked('Give it a name.') })

/** Searches that one looks up again and again; `query` is what is looked for now, as it stands in the address. */
export function KeptSearches({ query }: { query: string }) {
  const client = useQueryClient()
  const kept = useQuery({ queryKey: KEY, queryFn: () => take(api.GET('/api/bank/searches')), staleTime: 60_000 })
  const [naming, setNaming] = useState(false)
  const seen = (view: Schemas['BankKeptSearchesView']) => client.setQueryData(KEY, view)
  const searches = kept.data?.searches ?? []
  const keep = (name: string, what: string) =>
    take(api.POST('/api/bank/searches', { body: { name, query: what } })).then(seen)
  const drop = ({ id, name, query: what }: Schemas['BankKeptSearchView']) =>
    void take(api.DELETE('/api/bank/searches/{id}', { params: { path: { id } } }))
      .then((view) => {
        seen(view)
        toast(`“${name}” is no longer kept.`, { undo: () => void keep(name, what) })
      })
      .catch((error: unknown) => toast(problemOf(error).message, { bad: true }))
  if (searches.length === 0 && query === '') return null
  return (
    <div className="text-sm">
      <p className="pb-0.5 font-semibold text-quiet">Kept searches</p>
      <ul>
        {searches.map((search) => (
          <li key={search.id} className="group flex items-center">
            <Link
              to={`/bank?${search.query}`}
              aria-current={search.query === query ? 'page' : undefined}
              className="min-w-0 flex-1 rounded-[3px] px-2 py-0.5 hover:bg-sheet aria-[current]:bg-sheet aria-[current]:font-bold"
            >
              {search.name}
            </Link>
            <Tip says="No longer keep it">
              <button
                type="button"
                aria-label={`No longer keep ${search.name}`}
                className="flex size-7 items-center justify-center rounded text-quiet opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 hover:bg-rust-pale hover:text-ink"
                onClick={() => drop(search)}
              >
                <X aria-hidden className="size-4" />
              </button>
            </Tip>
          </li>
        ))}
      </ul>
      {naming ? (
        <Naming
          onKeep={async (name) => {
            await keep(name, query)
            setNaming(false)
          }}
          onLeave={() => setNaming(false)}
        />
      ) : query !== '' && !searches.some((s) => s.query === query) ? (
        <Button kind="quiet" size="small" onClick={() => setNaming(true)}>
          Keep this search
        </Button>
      ) : null}
    </div>
  )
}

function Naming({ onKeep, onLeave }: { onKeep: (name: string) => Promise<void>; onLeave: () => void }) {
  const form = useForm({ shape, start: { name: '' }, send: ({ name }) => onKeep(name) })
  return (
    <form
      className="flex flex-col gap-1 px-2 pt-1"
      onSubmit={(e) => void form.submit(e)}
      onKeyDown={(e) => e.key === 'Escape' && onLeave()}
    >
      <TextField
        label="Name of the search"
        hideLabel
        autoFocus
        maxLength={60}
        placeholder="hard, not used yet"
        {...form.field('name')}
      />
      <div className="flex gap-1">
        <Button type="submit" size="small" disabled={form.busy}>
          Keep
        </Button>
        <Button kind="quiet" size="small" onClick={onLeave}>
          Leave it
        </Button>
      </div>
      <FaultLine error={form.problem} />
    </form>
  )
}
