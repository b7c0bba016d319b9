import { useEffect, useRef } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import { later } from '@/ui/later'
import { linesOf, type Look } from './looks'
import { useMedia } from './place'
import { PlacePins } from './PlacePins'

// Most sources are read or looked at; a player is fetched for those that are not.
const Played = later(() => import('./Played').then((it) => it.Played))

/** Something to read or look at, as it stands in its paper, with the places that questions look at. */
export function SourcePage({
  source,
  looks = [],
  onStop,
}: {
  source: Omit<Schemas['PaperPlacedSourceView'], 'entry'>
  /** of this source */
  looks?: readonly Look[]
  onStop?: (entry: string) => void
}) {
  const { urlOf } = useMedia()
  const passage = useRef<HTMLDivElement>(null)
  const looked = looks.find((look) => look.current)
  const [from, to] = (looked && linesOf(looked.at)) ?? [0, 0]
  useEffect(() => {
    const lines = passage.current?.querySelectorAll<HTMLElement>('ol[data-lines] > li') ?? []
    lines.forEach((line, i) => line.toggleAttribute('data-here', i + 1 >= from && i + 1 <= to))
    const first = lines[from - 1]
    const scroller = first?.closest<HTMLElement>('[data-scrolls]')
    if (!first || !scroller) return
    // Only what scrolls by itself is moved, never the page.
    const [line, frame] = [first.getBoundingClientRect(), scroller.getBoundingClientRect()]
    if (line.top < frame.top || line.bottom > frame.bottom)
      scroller.scrollTop += line.top - frame.top - frame.height / 4
  }, [source.html, from, to])
  return (
    <div className="rounded border bg-ground p-4">
      {source.picture ? (
        <div className="relative">
          <img src={urlOf(source.picture)} alt={source.alt} className="w-full rounded" />
          <PlacePins looks={looks.filter((look) => look.at.page === undefined)} />
        </div>
      ) : null}
      {source.file ? (
        <Played file={source.file} title={source.title} looks={looks} stops={source.stops} onStop={onStop} />
      ) : null}
      <div ref={passage}>
        <Rich html={source.html} />
      </div>
    </div>
  )
}
