import { OnItsWayList } from '@/media/OnItsWayList'
import { Recorder } from '@/media/Recorder'
import { useSendings } from '@/media/useSendings'
import { Button } from '@/ui/Button'
import { Loading } from '@/ui/States'

const LONGEST = 60

/** Spoken into the device and heard before it goes; what has arrived is handed on. */
export function SpokenNote({
  busy,
  onSpoken,
  onWrite,
}: {
  busy: boolean
  onSpoken: (file: string) => void
  onWrite: () => void
}) {
  const { all, add, giveUp } = useSendings((file) => onSpoken(file.id))
  if (busy) return <Loading what="Sending it" />
  return all.length > 0 ? (
    <OnItsWayList all={all} giveUp={giveUp} />
  ) : (
    <Recorder medium="sound" seconds={LONGEST} onRecorded={(blob, name) => add(blob, name, ['sound'])}>
      <Button kind="quiet" onClick={onWrite}>
        Write instead
      </Button>
    </Recorder>
  )
}
