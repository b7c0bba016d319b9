import { useRef, useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { dropUnsaved, keepUnsaved, unsaved } from '@/lib/drafts/device'
import { Drawn } from '@/media/Drawn'
import { GROUNDS, type GroundKind } from '@/media/Ground'
import { InkPad } from '@/media/InkPad'
import { OnItsWayList } from '@/media/OnItsWayList'
import { useSendings } from '@/media/useSendings'
import { usePictureSize } from '@/media/usePictureSize'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { pictureOf } from './board'

type Source = Schemas['Source']
type Board = Schemas['Board']

/** A board that a teacher draws: readers get the picture of it, and the teacher can draw on. */
export function BoardDialog({
  place,
  source,
  onKeep,
  onClose,
}: {
  /** names the source among what is not kept yet */
  place: string
  source: Source
  onKeep: (part: { picture: string; alt: string; board: Board }) => void
  onClose: () => void
}) {
  const store = `board-${place}`
  // A picture that is no board itself can be drawn on.
  const beneath = source.board ? source.board.picture : source.picture
  const size = usePictureSize(typeof beneath === 'string' ? beneath : '')
  const under: Schemas['Picture'] | null =
    typeof beneath === 'string'
      ? size && { file: beneath, width: size.width, height: size.height, alt: source.alt }
      : (beneath ?? null)
  const [drawn, setDrawn] = useState<{ ground: GroundKind; strokes: Board['strokes']; alt: string }>(
    () =>
      unsaved(store) ?? {
        ground: source.board?.ground ?? (beneath ? 'picture' : 'blank'),
        strokes: source.board?.strokes ?? [],
        alt: source.alt,
      },
  )
  const [tried, setTried] = useState(false)
  const [error, setError] = useState('')
  const drawing = useRef<HTMLDivElement>(null)
  const picture = drawn.ground === 'picture' ? under : null
  const board: Board = { ground: drawn.ground, picture, strokes: drawn.strokes }
  const change = (part: Partial<typeof drawn>) => {
    const next = { ...drawn, ...part }
    setDrawn(next)
    keepUnsaved(store, next)
    setError('')
  }
  const { all, add, giveUp } = useSendings((sent) => {
    dropUnsaved(store)
    onKeep({ picture: sent.id, alt: drawn.alt.trim(), board })
  })
  const keep = async () => {
    setTried(true)
    const svg = drawing.current?.querySelector('svg')
    if (drawn.strokes.length === 0 || drawn.alt.trim() === '' || !svg) return
    try {
      add(await pictureOf(svg), 'board.png', ['picture'])
    } catch {
      setError('No picture could be made of the board. It is still here; try again.')
    }
  }
  const grounds = (Object.keys(GROUNDS) as GroundKind[]).filter((kind) => kind !== 'picture' || under)
  return (
    <Dialog
      open
      wide
      title="A board to read from"
      onClose={onClose}
      foot={
        <>
          {source.board || drawn.strokes.length > 0 ? (
            <Button
              onClick={() => {
                dropUnsaved(store)
                onClose()
              }}
            >
              Leave it as it was
            </Button>
          ) : null}
          <Button kind="do" disabled={all.length > 0} onClick={() => void keep()}>
            Show this board
          </Button>
        </>
      }
    >
      <div className="flex flex-col gap-3">
        <div className="flex flex-wrap items-end gap-4">
          <div className="w-44">
            <SelectField
              label="Drawn on"
              options={grounds.map((kind) => ({ value: kind, label: GROUNDS[kind] }))}
              value={drawn.ground}
              onChange={(ground) => change({ ground })}
            />
          </div>
          <div className="min-w-64 flex-1">
            <TextField
              label="What the board shows, for who cannot see it"
              value={drawn.alt}
              maxLength={1000}
              fault={
                tried && drawn.alt.trim() === '' ? 'Say what it shows: who cannot see it answers by these words.' : ''
              }
              onChange={(e) => change({ alt: e.target.value })}
            />
          </div>
        </div>
        <InkPad
          label="The board"
          ground={drawn.ground}
          picture={picture}
          strokes={drawn.strokes}
          onChange={(strokes) => change({ strokes })}
        />
        {error || (tried && drawn.strokes.length === 0) ? (
          <p role="alert" className="font-semibold text-bad">
            ✕ {error || 'Draw something on it first.'}
          </p>
        ) : null}
        <OnItsWayList all={all} giveUp={giveUp} />
        <div ref={drawing} hidden>
          <Drawn ground={drawn.ground} picture={picture} strokes={drawn.strokes} label="" />
        </div>
      </div>
    </Dialog>
  )
}
