import type { Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import { useMedia } from './place'
import { Shown } from './Shown'
import { useAbout } from './useAbout'

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

/** What is heard, watched or leafed through. */
function Played({ file, title }: { file: string; title: string }) {
  const [about] = useAbout([file])
  return (
    <div className="mb-2">
      {about ? <Shown file={about} alt={about.kind === 'pdf' ? about.name : title || about.name} /> : null}
    </div>
  )
}
