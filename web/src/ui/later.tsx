import { useEffect, useState, type ComponentType, type ReactNode } from 'react'

// A lost network is looked for again so often.
const AGAIN = 3000

/**
 * A part that is fetched when it is first shown. While it is on its way, or cannot be fetched, `meanwhile` stands there: a network that
 * is lost takes no screen away. It is tried again until it is here.
 */
export function later<P extends object>(
  fetch: () => Promise<ComponentType<P>>,
  meanwhile: (props: P) => ReactNode = () => null,
) {
  let ready: ComponentType<P> | null = null
  return function Later(props: P) {
    const [Part, setPart] = useState(() => ready)
    useEffect(() => {
      if (Part) return
      let current = true
      let timer: ReturnType<typeof setTimeout> | undefined
      const look = () =>
        void fetch().then(
          (part) => {
            ready = part
            if (current) setPart(() => part)
          },
          () => {
            if (current) timer = setTimeout(look, AGAIN)
          },
        )
      look()
      return () => {
        current = false
        clearTimeout(timer)
      }
    }, [Part])
    return Part ? <Part {...props} /> : meanwhile(props)
  }
}
