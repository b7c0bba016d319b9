import { Pause, Play, X } from 'lucide-react'
import { Progress } from '@/ui/Progress'
import { Button } from '@/ui/Button'
import type { OnItsWay } from './useSendings'

/** Files that have not arrived: how far each is, with a pause and an end; what was refused says why. */
export function OnItsWayList({ all, giveUp }: { all: OnItsWay[]; giveUp: (key: string) => void }) {
  return (
    <>
      {all.map(({ key, name, sending }) => {
        const { state } = sending
        const paused = state.kind === 'paused'
        const share = 'share' in state ? state.share : 0
        return (
          <div key={key} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-y py-2 text-[15px]">
            <span className="min-w-32 flex-1 truncate font-semibold">{name || 'your file'}</span>
            {state.kind === 'refused' ? (
              <span role="alert" className="w-full font-semibold text-bad">
                ✕ {state.why}
              </span>
            ) : (
              <>
                <Progress label={`${name} is on its way`} share={share} />
                <span className="text-quiet tabular-nums">
                  {paused
                    ? 'paused'
                    : state.kind === 'later'
                      ? 'waits for the network'
                      : `${Math.round(share * 100)} %`}
                </span>
                <Button
                  className="min-h-11"
                  aria-label={paused ? `Go on sending ${name}` : `Pause ${name}`}
                  onClick={() => (paused ? sending.goOn() : sending.pause())}
                >
                  {paused ? <Play aria-hidden className="size-4" /> : <Pause aria-hidden className="size-4" />}
                  {paused ? 'Go on' : 'Pause'}
                </Button>
              </>
            )}
            <Button className="min-h-11" aria-label={`Do not send ${name}`} onClick={() => giveUp(key)}>
              <X aria-hidden className="size-4" />
              {state.kind === 'refused' ? 'Put away' : 'Give up'}
            </Button>
          </div>
        )
      })}
    </>
  )
}
