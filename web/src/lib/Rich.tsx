import { useEffect, useRef } from 'react'

/** Shows rich text that the server has sanitised; maths is typeset when there is some, and its code is fetched only then. */
export function Rich({ html, className = '', inline = false }: { html: string; className?: string; inline?: boolean }) {
  const host = useRef<HTMLDivElement & HTMLSpanElement>(null)
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
