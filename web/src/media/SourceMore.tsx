import type { ReactNode } from 'react'
import type { Schemas } from '@/lib/api/client'
import { LinkCard } from './LinkCard'
import type { Look } from './looks'
import { Pieces } from './Pieces'
import { useMedia } from './place'
import { Played } from './Played'
import { PlacePins } from './PlacePins'

/** What few sources have beside their passage: marks and pieces on the picture, something to play or leaf through, a page outside. */
export function SourceMore({
  source,
  looks,
  onStop,
  children,
}: {
  source: Schemas['PaperPlacedSourceView']
  looks: readonly Look[]
  onStop?: (entry: string) => void
  /** its picture, where it has one */
  children?: ReactNode
}) {
  const { plays } = useMedia()
  const picture = children ? (
    <div className="relative">
      {children}
      <PlacePins looks={looks.filter((look) => look.at.page === undefined)} />
    </div>
  ) : null
  return (
    <>
      {source.pieces.length > 0 && plays !== undefined ? (
        <Pieces pieces={source.pieces} of={source.entry}>
          {picture ?? <div className="aspect-3/2 w-full rounded border border-edge bg-white" />}
        </Pieces>
      ) : (
        picture
      )}
      {source.link ? <LinkCard link={source.link} title={source.title} /> : null}
      {source.file ? (
        <Played
          file={source.file}
          title={source.title}
          looks={looks}
          stops={source.stops}
          inOrder={source.inOrder}
          onStop={onStop}
        />
      ) : null}
    </>
  )
}
