import { useQuery, useQueryClient } from '@tanstack/react-query'
import { X } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { useQuiet } from '@/lib/quiet'
import { Button } from '@/ui/Button'
import { later } from '@/ui/later'
import { Tip } from '@/ui/Tip'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

const KEY = ['searches']
const fetchNaming = () => import('./SearchNaming').then((it) => it.SearchNaming)
const SearchNaming = later(fetchNaming)

/** Searches that one looks up again and again; `query` is what is looked for now, as it stands in the address. */
export function KeptSearches({ query }: { query: string }) {
  const client = useQueryClient()
  const kept = useQuery({ queryKey: KEY, queryFn: () => take(api.GET('/api/bank/searches')), staleTime: 60_000 })
  const [naming, setNaming] = useState(false)
  // A form is not needed for the first row; it is here before a hand asks for it.
  const quiet = useQuiet()
  useEffect(() => {
    if (quiet) void fetchNaming().catch(() => {})
  }, [quiet])
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
      .catch(sorry)
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
        <SearchNaming
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
