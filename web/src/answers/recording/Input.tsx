import { useState } from 'react'
import { FilesField } from '@/media/FilesField'
import { OnItsWayList } from '@/media/OnItsWayList'
import { Recorder } from '@/media/Recorder'
import { useSendings } from '@/media/useSendings'
import { Button } from '@/ui/Button'
import type { InputProps } from '../kinds'
import { LookedFor } from '../parts/LookedFor'
import { FilesGiven } from '../parts/FilesGiven'
import { filesOf, textOf } from '../parts/values'

const MEGABYTES = { sound: 30, film: 50 }

/** Recorded here and heard before it is given; or a file from elsewhere, where this device cannot. */
export default function Input({ face, value, onChange, disabled, heading }: InputProps<'recording'>) {
  const [files, text] = [filesOf(value), textOf(value)]
  const [byFile, setByFile] = useState(false)
  const { all, add, giveUp } = useSendings((file) => onChange({ files: [file.id], text }))
  return (
    <div className="flex flex-col gap-4" role="group" aria-label={`Your recording for ${heading}`}>
      {files.length > 0 ? (
        <div className="flex flex-wrap items-center gap-3">
          <div className="min-w-64 flex-1">
            <FilesGiven files={files} />
          </div>
          {disabled ? null : (
            <Button className="min-h-11" onClick={() => onChange({ files: [], text })}>
              Take it out
            </Button>
          )}
        </div>
      ) : null}
      {byFile ? null : <OnItsWayList all={all} giveUp={giveUp} />}
      {files.length > 0 || disabled ? null : byFile ? (
        <>
          <FilesField
            label={`File for ${heading}`}
            files={[]}
            kinds={[face.medium]}
            most={1}
            megabytes={MEGABYTES[face.medium]}
            onChange={(next) => onChange({ files: next, text })}
          />
          <Other says="Record it here instead" onPress={() => setByFile(false)} />
        </>
      ) : all.length === 0 ? (
        <Recorder
          medium={face.medium}
          seconds={face.seconds}
          onRecorded={(blob, name) => add(blob, name, [face.medium])}
        >
          <Other says="Give a file instead" onPress={() => setByFile(true)} />
        </Recorder>
      ) : null}
      <LookedFor criteria={face.criteria} />
    </div>
  )
}

const Other = ({ says, onPress }: { says: string; onPress: () => void }) => (
  <Button kind="quiet" className="-ml-2 min-h-11 self-start" onClick={onPress}>
    {says}
  </Button>
)
