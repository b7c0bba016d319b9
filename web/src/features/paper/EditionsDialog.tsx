import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { toWhom } from '@/lib/handouts'
import { ask } from '@/lib/queries'
import { Dialog } from '@/ui/Dialog'
import { Failed, Loading } from '@/ui/States'

type Difference = Schemas['PaperDifferenceView']

/** The editions of a paper, the latest first: what each changed in the one before, and what publishing the draft would change. */
export function EditionsDialog({
  paperId,
  version,
  onGo,
  onClose,
}: {
  paperId: string
  /** of the draft, as it was last saved */
  version: number
  onGo: (id: string) => void
  onClose: () => void
}) {
  const found = useQuery({
    queryKey: ['paper', paperId, 'editions', version],
    queryFn: () => take(api.GET('/api/papers/{id}/editions', { params: { path: { id: paperId } } })),
    gcTime: 0,
  })
  const go = (id: string) => {
    onGo(id)
    onClose()
  }
  return (
    <Dialog open wide onClose={onClose} title="Editions of this paper">
      {found.isPending ? <Loading what="Comparing the editions" /> : null}
      {found.isError ? <Failed error={found.error} retry={() => void found.refetch()} /> : null}
      {found.data ? (
        <ol className="flex flex-col gap-5">
          {found.data.draft ? (
            <li>
              <h3 className="text-base">The draft</h3>
              <Changes
                of={found.data.draft}
                none={`It says the same as edition ${found.data.editions[0]?.number ?? ''}.`}
                onGo={go}
              />
            </li>
          ) : null}
          {found.data.editions.map((edition) => (
            <li key={edition.id}>
              <h3 className="text-base">
                Edition {edition.number}{' '}
                <span className="font-sans text-[15px] font-normal tracking-normal text-quiet">
                  {moment(edition.madeAt)}, {edition.madeBy}
                </span>
              </h3>
              <SatNow paperId={paperId} edition={edition.number} />
              {edition.differences ? (
                <Changes of={edition.differences} none="It says the same as the one before." />
              ) : (
                <p className="text-quiet">The first one that stands here.</p>
              )}
            </li>
          ))}
        </ol>
      ) : null}
      {found.data?.editions.length === 0 ? <p className="text-quiet">Nothing has been published yet.</p> : null}
    </Dialog>
  )
}

/** Who is at work on an edition now, and where a later one can be given to them. */
function SatNow({ paperId, edition }: { paperId: string; edition: number }) {
  const handouts = useQuery(ask.handouts())
  return (handouts.data?.handouts ?? [])
    .filter((h) => h.paperId === paperId && h.edition === edition && h.open > 0 && h.closedAt === null)
    .map((h) => (
      <p key={h.id} className="text-[15px]">
        {plural(h.open, 'student')} of {toWhom(h)} at work on it:{' '}
        <Link to={`/lookout/${h.id}`} className="text-blue underline">
          Lookout
        </Link>
      </p>
    ))
}

/** Where it is given, the part of the draft that one is about can be gone to. */
function Changes({ of, none, onGo }: { of: readonly Difference[]; none: string; onGo?: (id: string) => void }) {
  if (of.length === 0) return <p className="text-quiet">{none}</p>
  return (
    <ul className="mt-1 text-[15px]">
      {of.map((one, i) => (
        <li key={i} className="border-b py-1">
          {onGo && one.where !== '' ? (
            <button className="text-left text-blue underline" onClick={() => onGo(one.where)}>
              {one.says}
            </button>
          ) : (
            one.says
          )}
        </li>
      ))}
    </ul>
  )
}
