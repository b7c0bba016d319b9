import type { Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import { useMedia } from './place'

/** Something to read or look at, as it stands in its paper. */
export function SourcePage({ source }: { source: Pick<Schemas['PaperPlacedSourceView'], 'html' | 'picture' | 'alt'> }) {
  const { urlOf } = useMedia()
  return (
    <div className="rounded border bg-ground p-4">
      {source.picture ? <img src={urlOf(source.picture)} alt={source.alt} className="w-full rounded" /> : null}
      <Rich html={source.html} />
    </div>
  )
}
