import { Drawn, drawingInWords } from '@/media/Drawn'
import type { GivenProps } from '../kinds'
import { FilesGiven } from '../parts/FilesGiven'
import { Nothing } from '../parts/Nothing'
import { filesOf, isBlank, strokesOf, textOf } from '../parts/values'

export default function Given({ face, value }: GivenProps<'working'>) {
  const strokes = strokesOf(value)
  if (isBlank(value)) return <Nothing />
  return (
    <div className="flex flex-col gap-3">
      {strokes.length > 0 ? (
        <Drawn ground={face.ground} picture={face.picture} strokes={strokes} label={drawingInWords(strokes)} />
      ) : null}
      <FilesGiven files={filesOf(value)} />
      {textOf(value) ? <p className="whitespace-pre-wrap">{textOf(value)}</p> : null}
    </div>
  )
}
