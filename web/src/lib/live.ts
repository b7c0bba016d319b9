import { useEffect, useState } from 'react'

export type LiveState = 'live' | 'asking' | 'lost'

const ASK_EVERY = 2000
const QUIET_BEFORE_ASKING = 4000

/**
 * Listens to a handout's messages. After each (re)connection the caller fetches a snapshot; while the stream is down it
 * is asked for every two seconds instead, so that the picture stays true.
 */
export function useLive<Message>(
  url: string | null,
  onMessage: (message: Message) => void,
  refresh: () => Promise<unknown>,
): LiveState {
  const [state, setState] = useState<LiveState>('asking')
  useEffect(() => {
    if (!url) return
    let over = false
    let timer: ReturnType<typeof setTimeout> | undefined
    const ask = () => {
      timer = setTimeout(() => {
        refresh()
          .then(() => !over && setState('asking'))
          .catch(() => !over && setState('lost'))
          .finally(() => !over && source.readyState !== EventSource.OPEN && ask())
      }, ASK_EVERY)
    }
    let source: EventSource
    const open = () => {
      source = new EventSource(url)
      source.onopen = () => {
        clearTimeout(timer)
        setState('live')
        void refresh().catch(() => undefined)
      }
      source.onmessage = (event: MessageEvent<string>) => onMessage(JSON.parse(event.data) as Message)
      source.onerror = () => {
        clearTimeout(timer)
        ask()
        if (source.readyState === EventSource.CLOSED && !over) setTimeout(() => !over && open(), QUIET_BEFORE_ASKING)
      }
    }
    open()
    ask()
    return () => {
      over = true
      clearTimeout(timer)
      source.close()
    }
    // The callbacks are made anew with each render; the stream belongs to the address alone.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [url])
  return state
}
