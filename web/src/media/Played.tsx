import { useRef, useState } from 'react'
import { say } from '@/lib/say'
import { Button } from '@/ui/Button'
import { stretchOf, type Look } from './looks'
import { Shown } from './Shown'
import { useAbout } from './useAbout'
import { useCounted } from './useCounted'
import { usePlayed } from './usePlayed'
import { clock } from './words'

/**
 * What of a source is heard, watched or leafed through. Questions that look at a moment stand below it, to play from there; where it is
 * set to, it stops where each of them ends until one plays on.
 */
export function Played({
  file,
  title,
  looks = [],
  stops = false,
  inOrder = false,
  onStop,
}: {
  file: string
  title: string
  looks?: readonly Look[]
  stops?: boolean
  /** nobody leaps ahead of where they have been */
  inOrder?: boolean
  /** brings the question that it has stopped at */
  onStop?: (entry: string) => void
}) {
  const [about] = useAbout([file])
  const host = useRef<HTMLDivElement>(null)
  const [stopped, setStopped] = useState<Look | null>(null)
  const moments = looks
    .filter((look) => look.at.moment !== undefined)
    .sort((a, b) => (a.at.moment ?? 0) - (b.at.moment ?? 0))
  const player = () => host.current?.querySelector<HTMLMediaElement>('audio, video') ?? null
  usePlayed(host, (from, to, player) => {
    if (!stops || player.paused) return
    const met = moments.find(({ at }) => from < stretchOf(at)[1] && stretchOf(at)[1] <= to)
    if (!met) return
    player.pause()
    setStopped(met)
    say(`Stopped for question ${met.number}.`)
    onStop?.(met.entry)
  })
  const ordered = useCounted(host, file, inOrder)
  const playFrom = (moment: number) => {
    const media = player()
    if (!media) return
    media.currentTime = moment
    setStopped(null)
    void media.play().catch(() => undefined)
  }
  return (
    <div ref={host} className="mb-2">
      {about ? (
        <Shown file={about} alt={about.kind === 'pdf' ? about.name : title || about.name} looks={looks} />
      ) : null}
      {ordered ? <p className="mt-1 text-[15px] text-quiet">{ordered}</p> : null}
      {moments.length > 0 ? (
        <div className="mt-2 flex flex-wrap items-center gap-2 text-[15px]">
          {stopped ? (
            <>
              <span className="font-semibold">Stopped for question {stopped.number}.</span>
              <Button className="min-h-11" onClick={() => playFrom(player()?.currentTime ?? 0)}>
                Play on
              </Button>
            </>
          ) : null}
          {moments.map(({ entry, number, current, at: { moment = 0 } }) => (
            <Button
              key={entry}
              kind="quiet"
              className={`min-h-11 ${current ? 'underline' : ''}`}
              aria-label={`Play from ${clock(moment)}, for question ${number}`}
              onClick={() => playFrom(moment)}
            >
              {number}: from {clock(moment)}
            </Button>
          ))}
        </div>
      ) : null}
    </div>
  )
}
