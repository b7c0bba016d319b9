import { useEffect, useMemo, useRef, type ReactNode } from 'react'
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
const LinkCard = later(() => import('./LinkCard').then((it) => it.LinkCard))
const Pieces = later(
  () => import('./Pieces').then((it) => it.Pieces),
  ({ children }) => children,
)

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
  source: Schemas['PaperPlacedSourceView']
  /** of this source */
  looks?: readonly Look[]
  onStop?: (entry: string) => void
}) {
  const { urlOf, plays } = useMedia()
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
  const picture: ReactNode = source.picture ? (
    <div className="relative">
      <img src={urlOf(source.picture)} alt={source.alt} draggable={false} className="w-full rounded" />
      <PlacePins looks={looks.filter((look) => look.at.page === undefined)} />
    </div>
  ) : null
  return (
    <div className="rounded border bg-ground p-4">
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
      <div ref={passage}>
        {source.glossary.length > 0 ? <Glossed html={html} glossary={source.glossary} /> : <Rich html={html} />}
      </div>
    </div>
  )
}
