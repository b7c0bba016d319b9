import { RotateCcw, RotateCw } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { Span } from '@/ui/Slider'
import { draw, isWhole, measured, WHOLE, type Cut } from './cut'

const SEEN = 900
const APART = 10

/** A photo is turned upright and cut to what matters before it is sent. */
export function PhotoDialog({
  file,
  onUse,
  onClose,
}: {
  file: File
  onUse: (file: File) => void
  onClose: () => void
}) {
  const [photo, setPhoto] = useState<ImageBitmap | null>(null)
  const [cut, setCut] = useState<Cut>(WHOLE)
  const canvas = useRef<HTMLCanvasElement>(null)
  // What cannot be drawn here is sent as it is: the server knows more kinds, and says what is wrong.
  const asItIs = useRef(onUse)
  useEffect(() => {
    asItIs.current = onUse
  })
  useEffect(() => {
    let current = true
    createImageBitmap(file).then(
      (made) => (current ? setPhoto(made) : made.close()),
      () => current && asItIs.current(file),
    )
    return () => {
      current = false
    }
  }, [file])
  useEffect(() => {
    if (!photo || !canvas.current) return
    const { kept } = measured(photo.width, photo.height, cut)
    draw(canvas.current, photo, cut, Math.min(1, SEEN / Math.max(kept.width, kept.height)))
  }, [photo, cut])
  const turn = (by: number) => setCut({ ...WHOLE, turns: ((cut.turns + by + 4) % 4) as Cut['turns'] })
  const use = () => {
    if (!photo || isWhole(cut)) return onUse(file)
    const made = document.createElement('canvas')
    draw(made, photo, cut, measured(photo.width, photo.height, cut).scale)
    made.toBlob(
      (blob) => onUse(blob ? new File([blob], file.name.replace(/\.\w+$/, '') + '.jpg', { type: 'image/jpeg' }) : file),
      'image/jpeg',
      0.9,
    )
  }
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title="Turn and cut the photo"
      foot={
        <>
          <Button className="min-h-11" onClick={onClose}>
            Leave it out
          </Button>
          <Button kind="do" className="min-h-11" disabled={!photo} onClick={use}>
            Use it
          </Button>
        </>
      }
    >
      <div className="flex flex-col gap-3">
        <canvas
          ref={canvas}
          role="img"
          aria-label={`The photo, ${cut.turns === 0 ? 'as taken' : `turned by ${cut.turns * 90} degrees`}`}
          className="mx-auto max-h-[48vh] max-w-full rounded border"
        />
        <div className="flex flex-wrap gap-2">
          <Button className="min-h-11" onClick={() => turn(-1)}>
            <RotateCcw aria-hidden className="size-4" /> Turn left
          </Button>
          <Button className="min-h-11" onClick={() => turn(1)}>
            <RotateCw aria-hidden className="size-4" /> Turn right
          </Button>
          {isWhole(cut) ? null : (
            <Button className="min-h-11" onClick={() => setCut(WHOLE)}>
              As it was taken
            </Button>
          )}
        </div>
        <Span
          label="Keep from left to right"
          from={cut.left}
          to={cut.right}
          apart={APART}
          onChange={(left, right) => setCut({ ...cut, left, right })}
        />
        <Span
          label="Keep from top to bottom"
          from={cut.top}
          to={cut.bottom}
          apart={APART}
          onChange={(top, bottom) => setCut({ ...cut, top, bottom })}
        />
      </div>
    </Dialog>
  )
}
