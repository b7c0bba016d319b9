import { lazy, Suspense, useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { plain } from '@/lib/format'
import { FilesField } from '@/media/FilesField'
import { OnItsWayList } from '@/media/OnItsWayList'
import { PictureField } from '@/media/PictureField'
import { Recorder } from '@/media/Recorder'
import { Shown } from '@/media/Shown'
import { TextPictures } from '@/media/TextPictures'
import { useAbout } from '@/media/useAbout'
import { useSendings } from '@/media/useSendings'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { Fold } from '@/ui/Fold'
import { GlossaryForm } from './GlossaryForm'
import { LinkField } from './LinkField'
import { PiecesForm } from './PiecesForm'
import { RichEditor } from '@/ui/RichEditor'
import { Tick } from '@/ui/Tick'

const BoardDialog = lazy(() => import('./BoardDialog').then((it) => ({ default: it.BoardDialog })))

type Source = Schemas['Source']

/** A passage, a picture or a board, a sound, a clip, the pages of a PDF, a page outside; or several of them. */
export function SourceForm({
  source,
  place,
  onChange,
  onDraw,
  onPlaces,
}: {
  source: Source
  /** names it among what is not kept yet */
  place: string
  onChange: (source: Source) => void
  /** draws questions from the passage */
  onDraw?: () => void
  /** puts answer places on the pages of its PDF */
  onPlaces?: () => void
}) {
  const [about] = useAbout(source.file ? [source.file] : [])
  const pages = about?.pages ?? 0
  const [drawing, setDrawing] = useState(false)
  // What few sources have is unfolded where it was there from the beginning.
  const [rich] = useState(source.pieces !== undefined || source.link !== undefined)
  const more = (
    <div className="flex flex-col gap-4">
      <PiecesForm
        pieces={source.pieces ?? []}
        onChange={(pieces) => onChange({ ...source, pieces: pieces.length > 0 ? pieces : undefined })}
      />
      <LinkField link={source.link} onChange={(link) => onChange({ ...source, link })} />
    </div>
  )
  return (
    <div className="flex flex-col gap-4">
      <TextField
        label="Title of the source"
        value={source.title}
        onChange={(e) => onChange({ ...source, title: e.target.value })}
      />
      <FileOf file={source.file} onFile={(file) => onChange({ ...source, file: file ?? undefined })} />
      {onPlaces && pages > 0 ? (
        <Button size="small" className="self-start" onClick={onPlaces}>
          Put answer places on it …
        </Button>
      ) : null}
      {source.file && pages === 0 ? (
        <>
          <Tick
            label="Playing, it stops where a question looks at it"
            checked={source.stops ?? false}
            onChange={(stops) => onChange({ ...source, stops: stops || undefined })}
          />
          <Tick
            label="It is played in order: nobody skips ahead of where they have been"
            checked={source.inOrder ?? false}
            onChange={(inOrder) => onChange({ ...source, inOrder: inOrder || undefined })}
          />
        </>
      ) : null}
      <TextPictures>
        <RichEditor
          label={source.file ? 'Passage, or what is said' : 'Passage'}
          value={source.html}
          onChange={(html) => onChange({ ...source, html })}
        />
      </TextPictures>
      {plain(source.html) !== '' ? (
        <GlossaryForm
          glossary={source.glossary ?? []}
          onChange={(glossary) => onChange({ ...source, glossary: glossary.length > 0 ? glossary : undefined })}
        />
      ) : null}
      {onDraw && plain(source.html) !== '' ? (
        <Button size="small" className="self-start" onClick={onDraw}>
          Draw questions from it …
        </Button>
      ) : null}
      <PictureField
        label="Picture of the source"
        picture={source.picture ? { file: source.picture, width: 1, height: 1, alt: source.alt } : null}
        onChange={(picture) =>
          onChange({
            ...source,
            picture: picture?.file ?? null,
            alt: picture?.alt ?? '',
            // A board goes with the picture that was made of it.
            board: picture?.file === source.picture ? source.board : undefined,
          })
        }
      />
      <Button size="small" className="-mt-2 self-start" onClick={() => setDrawing(true)}>
        {source.board ? 'Draw on at the board …' : source.picture ? 'Draw on it …' : 'Draw a board …'}
      </Button>
      {drawing ? (
        <Suspense>
          <BoardDialog
            place={place}
            source={source}
            onKeep={(part) => {
              setDrawing(false)
              onChange({ ...source, ...part })
            }}
            onClose={() => setDrawing(false)}
          />
        </Suspense>
      ) : null}
      {rich ? more : <Fold label="Pieces to move about, a page outside">{more}</Fold>}
    </div>
  )
}

const LONGEST = { sound: 600, film: 300 } as const

/** What is heard, watched or leafed through: given as a file, or spoken or filmed here. */
function FileOf({ file, onFile }: { file: string | undefined; onFile: (file: string | null) => void }) {
  const [about] = useAbout(file ? [file] : [])
  const [recording, setRecording] = useState<keyof typeof LONGEST | null>(null)
  const { all, add, giveUp } = useSendings((sent) => {
    setRecording(null)
    onFile(sent.id)
  })
  if (file)
    return (
      <div className="flex flex-col items-start gap-2">
        {about ? <Shown file={about} /> : null}
        <Button size="small" onClick={() => onFile(null)}>
          Take it out
        </Button>
      </div>
    )
  return (
    <div className="flex flex-col items-start gap-2">
      <OnItsWayList all={all} giveUp={giveUp} />
      {recording ? (
        all.length === 0 ? (
          <Recorder
            medium={recording}
            seconds={LONGEST[recording]}
            onRecorded={(blob, name) => add(blob, name, [recording])}
          >
            <Button kind="quiet" onClick={() => setRecording(null)}>
              Give a file instead
            </Button>
          </Recorder>
        ) : null
      ) : (
        <>
          <FilesField
            label="Sound, clip or PDF of the source"
            files={[]}
            kinds={['sound', 'film', 'pdf']}
            most={1}
            megabytes={50}
            onChange={([id]) => id && onFile(id)}
          />
          <div className="-ml-2 flex gap-1">
            <Button kind="quiet" size="small" onClick={() => setRecording('sound')}>
              Speak it here
            </Button>
            <Button kind="quiet" size="small" onClick={() => setRecording('film')}>
              Film it here
            </Button>
          </div>
        </>
      )}
    </div>
  )
}
