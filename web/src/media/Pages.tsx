import { ChevronLeft, ChevronRight } from 'lucide-react'
import { useState } from 'react'
import { Button } from '@/ui/Button'
import type { Look } from './looks'
import { useMedia, type FileAbout } from './place'
import { PlacePins } from './PlacePins'
import { sizeOf } from './words'

/** The pages of a PDF as faithful pictures, one at a time; the one that the present question looks at comes up by itself. */
export function Pages({ file, looks }: { file: FileAbout; looks: readonly Look[] }) {
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
