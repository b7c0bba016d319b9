import { useContext, useEffect, useRef } from 'react'
import { PictureUrl } from './pictures'

/** Shows rich text that the server has sanitised; maths is typeset when there is some, and its code is fetched only then. */
export function Rich({ html, className = '', inline = false }: { html: string; className?: string; inline?: boolean }) {
  const host = useRef<HTMLDivElement & HTMLSpanElement>(null)
  const urlOf = useContext(PictureUrl)
  useEffect(() => {
    host.current?.querySelectorAll<HTMLImageElement>('img[data-file]').forEach((picture) => {
      picture.src = urlOf(picture.dataset.file ?? '')
    })
  }, [html, urlOf])
  useEffect(() => {
    const places = host.current?.querySelectorAll<HTMLElement>('[data-math]') ?? []
    if (places.length === 0) return
    let current = true
    void import('./maths').then(({ typeset }) => {
      if (current) places.forEach((place) => typeset(place.dataset.math ?? '', place))
    })
    return () => {
      current = false
    }
  }, [html])
  const Tag = inline ? 'span' : 'div'
  return (
    <Tag
      ref={host}
      className={`rich ${className}`}
      dangerouslySetInnerHTML={{ __html: inline ? html.replace(/^<p>|<\/p>$/g, '') : html }}
    />
  )
}
