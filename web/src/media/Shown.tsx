import { ChevronLeft, ChevronRight, Download } from 'lucide-react'
import { useState } from 'react'
import { Button } from '@/ui/Button'
import { localOf } from './local'
import type { Look } from './looks'
import { PlacePins } from './PlacePins'
import { useMedia, type FileAbout } from './place'
import { sizeOf } from './words'

/** A file where it is read: a picture, a player, the pages of a PDF; what cannot be shown is fetched. */
export function Shown({ file, alt, looks = [] }: { file: FileAbout; alt?: string; looks?: readonly Look[] }) {
  const { urlOf } = useMedia()
  const url = localOf(file.id)?.url ?? urlOf(file.id)
  const name = alt ?? file.name
  if (file.kind === 'picture')
    return (
      <img src={url} alt={name} className="max-h-[70vh] max-w-full self-start rounded border bg-white object-contain" />
    )
  if (file.kind === 'sound')
    return <audio controls preload="metadata" src={url} aria-label={name} className="w-full max-w-lg" />
  if (file.kind === 'film')
    return <video controls preload="metadata" src={url} aria-label={name} className="max-h-[60vh] max-w-full rounded" />
  if (file.pages > 0) return <Pages file={file} looks={looks} />
  return (
    <p>
      <a href={url} className="inline-flex min-h-11 items-center gap-2 font-semibold text-blue underline">
        <Download aria-hidden className="size-4" /> {file.name || 'the file'} ({sizeOf(file.size)})
      </a>
    </p>
  )
}

/** The pages of a PDF as faithful pictures, one at a time; the one that the present question looks at comes up by itself. */
function Pages({ file, looks }: { file: FileAbout; looks: readonly Look[] }) {
  const { urlOf } = useMedia()
  const wanted = looks.find((look) => look.current)?.at.page ?? 1
  const [page, setPage] = useState(wanted)
  const [before, setBefore] = useState(wanted)
  if (wanted !== before) {
    setBefore(wanted)
    setPage(wanted)
  }
  return (
    <figure>
      <div className="relative w-fit">
        <img
          src={urlOf(file.id, page)}
          alt={`Page ${page} of ${file.name}`}
          className="max-h-[75vh] max-w-full rounded border bg-white"
        />
        <PlacePins looks={looks.filter((look) => look.at.page === page)} />
      </div>
      <figcaption className="mt-2 flex flex-wrap items-center gap-3 text-[15px] text-quiet">
        {file.pages > 1 ? (
          <>
            <Button size="small" aria-label="Page before" disabled={page === 1} onClick={() => setPage(page - 1)}>
              <ChevronLeft aria-hidden className="size-4" />
            </Button>
            <span className="tabular-nums">
              page {page} of {file.pages}
            </span>
            <Button
              size="small"
              aria-label="Next page"
              disabled={page === file.pages}
              onClick={() => setPage(page + 1)}
            >
              <ChevronRight aria-hidden className="size-4" />
            </Button>
          </>
        ) : null}
        <a href={urlOf(file.id)} className="text-blue underline">
          {file.name || 'the PDF'} ({sizeOf(file.size)})
        </a>
      </figcaption>
    </figure>
  )
}
