import { useEffect, useMemo, useRef } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import { later } from '@/ui/later'
import { linesOf, placeOf, type Look } from './looks'
import { useMedia } from './place'

// Most sources are read or looked at; what the others need is fetched for them.
const Glossed = later(
  () => import('./Glossed').then((it) => it.Glossed),
  ({ html }) => <Rich html={html} />,
)
const SourceMore = later(
  () => import('./SourceMore').then((it) => it.SourceMore),
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
  const picture = source.picture ? (
    <img src={urlOf(source.picture)} alt={source.alt} draggable={false} className="w-full rounded" />
  ) : null
  const more = source.file || source.link || source.pieces.length > 0 || looks.some((look) => placeOf(look.at))
  return (
    <div className="rounded border bg-ground p-4">
      {more ? (
        <SourceMore source={source} looks={looks} onStop={onStop}>
          {picture}
        </SourceMore>
      ) : (
        picture
      )}
      <div ref={passage}>
        {source.glossary.length > 0 ? <Glossed html={html} glossary={source.glossary} /> : <Rich html={html} />}
      </div>
    </div>
  )
}
