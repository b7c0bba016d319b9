import { useEffect, useRef, type RefObject } from 'react'

/** Tells of each stretch that the player in the host has played without a leap, in seconds. */
export function usePlayed(
  host: RefObject<HTMLElement | null>,
  onPlayed: (from: number, to: number, player: HTMLMediaElement) => void,
) {
  const latest = useRef(onPlayed)
  useEffect(() => {
    latest.current = onPlayed
  })
  useEffect(() => {
    const place = host.current
    if (!place) return
    let before = 0
    let leaping = false
    const playerOf = (event: Event) => event.target as HTMLMediaElement
    const played = (event: Event) => {
      const player = playerOf(event)
      if (leaping || player.seeking) return
      const from = before
      before = player.currentTime
      if (before > from) latest.current(from, before, player)
    }
    // A leap tells of a new time before it says that it is over.
    const leaps = () => (leaping = true)
    const lands = (event: Event) => {
      leaping = false
      before = playerOf(event).currentTime
    }
    const on = { timeupdate: played, seeking: leaps, seeked: lands }
    // Events of players do not bubble; they are met on their way down.
    for (const [name, meet] of Object.entries(on)) place.addEventListener(name, meet, true)
    return () => {
      for (const [name, meet] of Object.entries(on)) place.removeEventListener(name, meet, true)
    }
  }, [host])
}
