import type { Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import { later } from '@/ui/later'
import { useMedia } from './place'

// Most sources are read or looked at; a player is fetched for those that are not.
const Played = later(() => import('./Played').then((it) => it.Played))

/** Something to read or look at, as it stands in its paper. */
export function SourcePage({
  source,
}: {
  source: Pick<Schemas['PaperPlacedSourceView'], 'title' | 'html' | 'picture' | 'alt' | 'file'>
}) {
  const { urlOf } = useMedia()
  return (
    <div className="rounded border bg-ground p-4">
      {source.picture ? <img src={urlOf(source.picture)} alt={source.alt} className="w-full rounded" /> : null}
      {source.file ? <Played file={source.file} title={source.title} /> : null}
      <Rich html={source.html} />
    </div>
  )
}
