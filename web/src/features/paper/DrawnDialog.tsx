import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { useSettled } from '@/lib/settled'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { AreaField } from '@/ui/Field'
import { FaultLine, Failed, Loading } from '@/ui/States'
import { Tick } from '@/ui/Tick'

type Candidate = Schemas['BankCandidateView']
type Card = (item: Schemas['Item']) => ReactNode

/** Questions that a passage offers by plain rules, each to be looked at, changed or left before it counts. */
export function DrawnDialog({
  html,
  card,
  onKept,
  onClose,
}: {
  html: string
  card: Card
  onKept: (ids: string[]) => void
  onClose: () => void
}) {
  const client = useQueryClient()
  const drawn = useQuery({
    queryKey: ['drawn', html],
    queryFn: () => take(api.POST('/api/items/drawn', { body: { html } })),
    staleTime: Infinity,
    gcTime: 0,
    retry: false,
  })
  const [kept, setKept] = useState<ReadonlySet<number>>(new Set())
  const [changed, setChanged] = useState<Record<number, string>>({})
  const [request, setRequest] = useState(() => crypto.randomUUID())
  const [busy, setBusy] = useState(false)
  const [error, setError] = useState<unknown>(null)
  const candidates = drawn.data?.candidates ?? []
  // Another choice is another request: only the same one, sent again, is kept once.
  const decide = (act: () => void) => {
    setRequest(crypto.randomUUID())
    setError(null)
    act()
  }
  const keep = async () => {
    setBusy(true)
    setError(null)
    const text = [...kept]
      .sort((a, b) => a - b)
      .map((i) => changed[i] ?? candidates[i]?.notes ?? '')
      .join('\n\n')
    try {
      const { ids } = await take(
        api.POST('/api/items/notes/keep', { body: { text, table: false, requestId: request } }),
      )
      void client.invalidateQueries({ queryKey: ['items'] })
      onKept(ids)
    } catch (thrown) {
      setError(thrown)
      setBusy(false)
    }
  }
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Questions that this passage offers"
      foot={
        candidates.length > 0 ? (
          <>
            <FaultLine error={error} />
            <Button kind="do" disabled={kept.size === 0 || busy} onClick={() => void keep()}>
              {kept.size === 0 ? 'Choose what to keep' : `Keep ${plural(kept.size, 'question')} in the paper`}
            </Button>
          </>
        ) : null
      }
    >
      {drawn.isPending ? <Loading what="Reading the passage" /> : null}
      {drawn.isError ? <Failed error={drawn.error} retry={() => void drawn.refetch()} /> : null}
      {drawn.data && candidates.length === 0 ? (
        <p className="text-quiet">
          Nothing was found to ask. The rules want whole English sentences: numbers with units or times, three names or
          more, words that can be turned into their opposites, events in their order.
        </p>
      ) : null}
      {candidates.length > 0 ? (
        <>
          <p className="text-[15px] text-quiet">
            Drawn by fixed rules on this server, not by anything that understands the passage. Read each, change it or
            leave it; only what you tick is kept.
          </p>
          <ol className="mt-3">
            {candidates.map((one, i) => (
              <Offered
                key={i}
                one={one}
                n={i + 1}
                card={card}
                kept={kept.has(i)}
                text={changed[i] ?? null}
                onKeep={(on) =>
                  decide(() => setKept((old) => new Set(on ? [...old, i] : [...old].filter((j) => j !== i))))
                }
                onChange={(text) =>
                  decide(() => {
                    setChanged((old) => ({ ...old, [i]: text }))
                    setKept((old) => new Set([...old, i]))
                  })
                }
              />
            ))}
          </ol>
        </>
      ) : null}
    </Dialog>
  )
}

function Offered({
  one,
  n,
  card,
  kept,
  text,
  onKeep,
  onChange,
}: {
  one: Candidate
  n: number
  card: Card
  kept: boolean
  /** as it has been changed; null while it is as it was drawn */
  text: string | null
  onKeep: (on: boolean) => void
  onChange: (text: string) => void
}) {
  const [changing, setChanging] = useState(false)
  const settled = useSettled(text ?? '')
  const read = useQuery({
    queryKey: ['notes', settled, false],
    queryFn: () => take(api.POST('/api/items/notes', { body: { text: settled, table: false } })),
    enabled: settled.trim() !== '',
    retry: false,
    gcTime: 0,
  })
  const made = text === null ? [{ item: one.item, faults: [] }] : (read.data?.questions ?? [])
  return (
    <li className="grid gap-x-6 gap-y-2 border-t py-3 md:grid-cols-[16rem_minmax(0,1fr)]">
      <div className="flex flex-col items-start gap-2 text-[15px]">
        <Tick label={<b>Keep question {n}</b>} checked={kept} onChange={onKeep} />
        <p className="text-blue">{one.by}</p>
        <p className="text-quiet">
          {one.place}: “{one.from}”
        </p>
        <Button size="small" aria-expanded={changing} onClick={() => setChanging(!changing)}>
          {changing ? 'Done changing' : 'Change it'}
        </Button>
      </div>
      <div className="min-w-0">
        {changing ? (
          <AreaField
            label={`Question ${n} as notes`}
            rows={6}
            className="font-mono text-[15px] leading-6 [font-variant-ligatures:none]"
            spellCheck={false}
            value={text ?? one.notes}
            onChange={(e) => onChange(e.target.value)}
          />
        ) : null}
        {made.map((q, i) => (
          <div key={i} className={changing ? 'mt-3' : ''}>
            {q.item ? card(q.item) : null}
            {q.faults.map((fault) => (
              <p key={fault.message} className="text-[15px] font-semibold text-bad">
                ✕ line {fault.line}: {fault.message}
              </p>
            ))}
          </div>
        ))}
      </div>
    </li>
  )
}
