import { useEffect, useRef, useState, type RefObject } from 'react'
import { api, take } from '@/lib/api/client'
import { Again, mayBeSentAgain } from '@/lib/drafts/again'
import { keepLasting, lasting } from '@/lib/drafts/lasting'
import { say } from '@/lib/say'
import { partsOf, playedUntil, unplayed, withStretch, type Counted } from './playing'
import { useMedia } from './place'
import { usePlayed } from './usePlayed'
import { clock } from './words'

const SEND_AFTER = 4000
/** A leap so little ahead is none: fingers and players are not exact. */
const SLACK = 1

type Kept = Counted & { device: string }

/**
 * Counts what a student plays: on the device at once, on the server as soon as it can be reached. In order, nobody leaps ahead of where
 * they have been; gives the words for one who tried.
 */
export function useCounted(host: RefObject<HTMLElement | null>, file: string, inOrder: boolean): string {
  const { plays } = useMedia()
  const counting = plays !== undefined
  const sitting = plays ?? null
  const kept = useRef<Kept | null>(null)
  /** played before it was known how long the whole is */
  const early = useRef<[number, number][]>([])
  const until = useRef(0)
  const sender = useRef<Again | null>(null)
  const [held, setHeld] = useState('')

  useEffect(() => {
    if (!sitting) return
    const again = new Again(() => {
      const now = kept.current
      if (!now) return
      const { device, millis, times } = now
      take(
        api.PUT('/api/me/sittings/{id}/played', {
          params: { path: { id: sitting } },
          body: { file, device, millis, times },
        }),
      )
        .then((seen) => {
          again.went()
          until.current = Math.max(until.current, seen.until)
        })
        .catch((thrown: unknown) => mayBeSentAgain(thrown) && again.later())
    })
    sender.current = again
    const leaving = () => document.visibilityState === 'hidden' && again.after(0)
    document.addEventListener('visibilitychange', leaving)
    return () => {
      document.removeEventListener('visibilitychange', leaving)
      again.stop()
      sender.current = null
    }
  }, [sitting, file])

  /** What this device has counted, from the moment that the length is known; the server is asked what others have. */
  const known = (player: HTMLMediaElement): Kept | null => {
    if (kept.current || !Number.isFinite(player.duration)) return kept.current
    const millis = Math.max(1, Math.round(player.duration * 1000))
    const before = sitting ? lasting<Kept>(sitting, `played.${file}`) : null
    const same = before?.times.length === partsOf(millis).parts
    kept.current = {
      ...unplayed(millis),
      ...(same ? { times: before.times } : {}),
      device: before?.device ?? crypto.randomUUID(),
    }
    until.current = Math.max(until.current, playedUntil(kept.current))
    sender.current?.after(0)
    return kept.current
  }

  usePlayed(host, (from, to, player) => {
    if (!counting) return
    until.current = Math.max(until.current, to)
    setHeld('')
    // What is played on is one stretch, however many words the player makes of it.
    const last = early.current.at(-1)
    if (last?.[1] === from) last[1] = to
    else early.current.push([from, to])
    const now = known(player)
    if (!now) return
    const next = early.current.reduce<Counted>((sum, [a, b]) => withStretch(sum, a, b), now)
    early.current = []
    if (next.times.every((once, i) => once === now.times[i])) return
    kept.current = { ...now, ...next }
    if (!sitting) return
    keepLasting(sitting, `played.${file}`, kept.current)
    sender.current?.after(SEND_AFTER)
  })

  useEffect(() => {
    const place = host.current
    if (!place || !counting) return
    const playerOf = (event: Event) => event.target as HTMLMediaElement
    const met = (event: Event) => void known(playerOf(event))
    const rests = () => sender.current?.after(0)
    const leaps = (event: Event) => {
      const player = playerOf(event)
      if (!inOrder || player.currentTime <= until.current + SLACK) return
      player.currentTime = until.current
      const words = `You have played it up to ${clock(until.current)}. What comes after that is played in order.`
      setHeld(words)
      say(words)
    }
    const on = { loadedmetadata: met, durationchange: met, pause: rests, seeking: leaps }
    for (const [name, meet] of Object.entries(on)) place.addEventListener(name, meet, true)
    return () => {
      for (const [name, meet] of Object.entries(on)) place.removeEventListener(name, meet, true)
    }
    // What is counted lies in refs, so that listeners never go while one plays.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [host, counting, inOrder, file])

  if (held) return held
  return counting && inOrder
    ? 'It is played in order: back as often as you like, ahead only as far as you have been.'
    : ''
}
