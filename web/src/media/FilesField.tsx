import { Camera, Paperclip, X } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { say } from '@/lib/say'
import { Button } from '@/ui/Button'
import { later } from '@/ui/later'
import { OnItsWayList } from './OnItsWayList'
import { Shown } from './Shown'
import { useAbout } from './useAbout'
import { useSendings } from './useSendings'
import { KINDS, kindsInWords, mayBe, sizeOf, type FileKind } from './words'

const PhotoDialog = later(() => import('./PhotoDialog').then((it) => it.PhotoDialog))

const MEGABYTE = 1_000_000
const canDraw = typeof createImageBitmap === 'function'

/** Where files are given: chosen, dropped, or taken with a camera. What is given is shown, and can be taken out. */
export function FilesField({
  label,
  files,
  onChange,
  kinds,
  most,
  megabytes,
  disabled = false,
  camera = false,
}: {
  label: string
  files: string[]
  onChange: (files: string[]) => void
  kinds: FileKind[]
  most: number
  megabytes: number
  disabled?: boolean
  /** a photo may be taken for it */
  camera?: boolean
}) {
  const [fault, setFault] = useState('')
  const [over, setOver] = useState(false)
  const [photo, setPhoto] = useState<File | null>(null)
  const about = useAbout(files)
  const chooser = useRef<HTMLInputElement>(null)
  const shutter = useRef<HTMLInputElement>(null)
  const latest = useRef(files)
  useEffect(() => {
    latest.current = files
  }, [files])
  const { all, add, giveUp } = useSendings((file) => {
    say(`${file.name || 'The file'} has arrived.`)
    // Two may arrive before the page is drawn again.
    latest.current = [...latest.current, file.id]
    onChange(latest.current)
  })
  const room = most - files.length - all.filter((one) => one.sending.state.kind !== 'refused').length
  const take = (list: FileList | null) => {
    setFault('')
    const given = [...(list ?? [])]
    if (given.length > room) {
      setFault(room <= 0 ? `There is room for ${most}, and no more.` : `There is room for ${room} more.`)
      return
    }
    // One photo of paper is seldom upright, and shows more of the table than of the page.
    const [only] = given
    if (camera && given.length === 1 && only && only.size > 0 && only.type.startsWith('image/') && canDraw) {
      setPhoto(only)
      return
    }
    give(given)
  }
  const give = (given: File[]) => {
    for (const file of given) {
      if (file.size === 0) setFault(`${file.name} is empty. Choose it again.`)
      else if (file.size > megabytes * MEGABYTE)
        setFault(`${file.name} has ${sizeOf(file.size)}; at most ${megabytes} MB are taken. Make it smaller.`)
      else if (!mayBe(file.type, kinds))
        setFault(`${file.name} is not taken here: ${kindsInWords(kinds)}. Choose another, or save it as one of these.`)
      else add(file, file.name, kinds)
    }
  }
  const accept = kinds.map((kind) => KINDS[kind].accept).join(',')
  return (
    <div role="group" aria-label={label} className="flex flex-col gap-3">
      {files.map((id) => {
        const file = about.find((one) => one.id === id)
        return file ? (
          <div key={id} className="flex items-start gap-3">
            <div className="min-w-0 flex-1">
              <Shown file={file} />
            </div>
            {disabled ? null : (
              <Button
                className="min-h-11"
                aria-label={`Take ${file.name || 'this file'} out`}
                onClick={() => onChange(files.filter((one) => one !== id))}
              >
                <X aria-hidden className="size-4" /> Take out
              </Button>
            )}
          </div>
        ) : null
      })}
      <OnItsWayList all={all} giveUp={giveUp} />
      {disabled || room <= 0 ? null : (
        <div
          onDragOver={(e) => (e.preventDefault(), setOver(true))}
          onDragLeave={() => setOver(false)}
          onDrop={(e) => (e.preventDefault(), setOver(false), take(e.dataTransfer.files))}
          className={`flex flex-wrap items-center gap-3 rounded border-2 border-dashed px-4 py-3 ${over ? 'border-ink bg-pale' : 'border-edge'}`}
        >
          <Button className="min-h-11" onClick={() => chooser.current?.click()}>
            <Paperclip aria-hidden className="size-4" /> Choose a file
          </Button>
          {camera ? (
            <Button className="min-h-11" onClick={() => shutter.current?.click()}>
              <Camera aria-hidden className="size-4" /> Take a photo
            </Button>
          ) : null}
          <span className="text-[0.85em] text-quiet">
            {kindsInWords(kinds)}, at most {megabytes} MB{most > 1 ? ` each, ${most} files` : ''}
          </span>
          <input
            ref={chooser}
            type="file"
            aria-label={`${label}: choose files`}
            tabIndex={-1}
            className="sr-only"
            multiple={most > 1}
            accept={accept}
            onChange={(e) => (take(e.target.files), (e.target.value = ''))}
          />
          {camera ? (
            <input
              ref={shutter}
              type="file"
              aria-label={`${label}: take a photo`}
              tabIndex={-1}
              className="sr-only"
              accept="image/*"
              capture="environment"
              onChange={(e) => (take(e.target.files), (e.target.value = ''))}
            />
          ) : null}
        </div>
      )}
      {photo ? (
        <PhotoDialog
          file={photo}
          onClose={() => setPhoto(null)}
          onUse={(file) => {
            setPhoto(null)
            give([file])
          }}
        />
      ) : null}
      {fault ? (
        <p role="alert" className="font-semibold text-bad">
          ✕ {fault}
        </p>
      ) : null}
    </div>
  )
}
