import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Item } from '@/answers/kinds'
import { api, take } from '@/lib/api/client'
import { toLocal, writeMoment } from '@/lib/locale'
import { useTerms } from '@/lib/terms'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { Radios } from '@/ui/Radios'
import { Failed, Loading } from '@/ui/States'
import { differences, type Piece } from './differences'

/** What a question said before: each version beside how it stands on the desk, and taken back into it where that is wanted. */
export function HistoryDialog({
  id,
  now,
  onTake,
  onClose,
}: {
  id: string
  /** as it stands on the desk */
  now: Item
  onTake: (item: Item, version: number) => void
  onClose: () => void
}) {
  const history = useQuery({
    queryKey: ['item', id, 'history'],
    queryFn: () => take(api.GET('/api/items/{id}/history', { params: { path: { id } } })),
    gcTime: 0,
  })
  const versions = history.data?.versions ?? []
  const [asked, setAsked] = useState<number | null>(null)
  const chosen = asked ?? versions[1]?.version ?? versions[0]?.version ?? null
  const then = useQuery({
    queryKey: ['item', id, 'history', chosen],
    queryFn: () =>
      take(api.GET('/api/items/{id}/history/{version}', { params: { path: { id, version: String(chosen) } } })),
    enabled: chosen !== null,
    staleTime: Infinity,
  })
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Earlier versions"
      foot={
        then.data ? (
          <Button kind="do" onClick={() => onTake(then.data.item, then.data.version)}>
            Take version {then.data.version} onto the desk
          </Button>
        ) : null
      }
    >
      {history.isPending ? <Loading what="Looking for earlier versions" /> : null}
      {history.isError ? <Failed error={history.error} retry={() => void history.refetch()} /> : null}
      {versions.length > 0 && chosen !== null ? (
        <div className="grid gap-5 md:grid-cols-[13rem_minmax(0,1fr)]">
          <Radios
            label="Version"
            value={String(chosen)}
            onChange={(version) => setAsked(Number(version))}
            options={versions.map((v) => ({
              value: String(v.version),
              label: `${v.version} · ${v.by}`,
              note: v.until ? `until ${writeMoment(toLocal(v.until))}` : 'as it was last saved',
            }))}
          />
          {then.data ? <Differing then={then.data.item} now={now} version={then.data.version} /> : null}
          {then.isError ? <Failed error={then.error} retry={() => void then.refetch()} /> : null}
        </div>
      ) : null}
    </Dialog>
  )
}

function Differing({ then, now, version }: { then: Item; now: Item; version: number }) {
  const terms = useTerms()
  const named = (id: string | null) =>
    [...(terms.data?.skills ?? []), ...(terms.data?.misconceptions ?? [])].find((t) => t.id === id)?.name ??
    'one that is gone'
  const found = differences(then, now, named)
  if (found.length === 0) return <p className="text-quiet">Version {version} says the same as the desk does now.</p>
  // What words tell needs no other telling.
  const told = found.length > 1 ? found.filter((d) => d.part !== 'The answer rule otherwise') : found
  return (
    <table className="w-full table-fixed self-start text-[15px]">
      <caption className="sr-only">Where version {version} and the desk differ</caption>
      <thead>
        <tr className="border-b text-left text-sm text-quiet">
          <th scope="col" className="py-1 pr-3 font-medium">
            Version {version}
          </th>
          <th scope="col" className="py-1 font-medium">
            On the desk now
          </th>
        </tr>
      </thead>
      {told.map((d) => (
        <tbody key={d.part} className="border-b align-top">
          <tr>
            <th scope="rowgroup" colSpan={2} className="pt-2 text-left text-sm font-semibold text-quiet">
              {d.part}
            </th>
          </tr>
          <tr>
            <td className="pr-3 pb-2">
              <Pieces pieces={d.then} how="del" />
            </td>
            <td className="pb-2">
              <Pieces pieces={d.now} how="ins" />
            </td>
          </tr>
        </tbody>
      ))}
    </table>
  )
}

/** Changed words are struck or underlined, so that they are told apart without a colour. */
function Pieces({ pieces, how: Changed }: { pieces: Piece[]; how: 'del' | 'ins' }) {
  if (pieces.length === 0) return <span className="text-quiet">nothing</span>
  return (
    <span className="break-words whitespace-pre-wrap">
      {pieces.map((piece, i) =>
        piece.changed ? (
          <Changed key={i} className="bg-rust-pale decoration-rung decoration-2">
            {piece.text}
          </Changed>
        ) : (
          <span key={i}>{piece.text}</span>
        ),
      )}
    </span>
  )
}
