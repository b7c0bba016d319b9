import { useEffect, useMemo, useRef } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import { later } from '@/ui/later'
import { linesOf, type Look } from './looks'
import { useMedia } from './place'
import { PlacePins } from './PlacePins'

// Most sources are read or looked at; a player is fetched for those that are not.
const Glossed = later(
  () => import('./Glossed').then((it) => it.Glossed),
  ({ html }) => <Rich html={html} />,
)
const Played = later(() => import('./Played').then((it) => it.Played))

/** A passage with some of its numbered lines marked. */
function lit(html: string, from: number, to: number): string {
  const page = new DOMParser().parseFromString(html, 'text/html')
  page.querySelectorAll('ol[data-lines] > li').forEach((line, i) => {
    if (i + 1 >= from && i + 1 <= to) line.setAttribute('data-here', '')
  })
  return page.body.innerHTML
}

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
  const html = useMemo(() => (to > 0 ? lit(source.html, from, to) : source.html), [source.html, from, to])
  useEffect(() => {
    const first = passage.current?.querySelector<HTMLElement>('[data-here]')
    const scroller = first?.closest<HTMLElement>('[data-scrolls]')
    if (!first || !scroller) return
    // Only what scrolls by itself is moved, never the page.
    const [line, frame] = [first.getBoundingClientRect(), scroller.getBoundingClientRect()]
    if (line.top < frame.top || line.bottom > frame.bottom)
      scroller.scrollTop += line.top - frame.top - frame.height / 4
  }, [html])
  return (
    <div className="rounded border bg-ground p-4">
      {source.picture ? (
        <div className="relative">
          <img src={urlOf(source.picture)} alt={source.alt} className="w-full rounded" />
          <PlacePins looks={looks.filter((look) => look.at.page === undefined)} />
        </div>
      ) : null}
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
      <div ref={passage}>
        {source.glossary.length > 0 ? <Glossed html={html} glossary={source.glossary} /> : <Rich html={html} />}
      </div>
    </div>
  )
}
