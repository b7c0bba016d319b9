import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { FilesField } from './FilesField'
import { useMedia } from './place'

type Picture = Schemas['Picture']

/** A picture of the team's, with words for who cannot see it. */
export function PictureField({
  label,
  picture,
  onChange,
  show = true,
  asked = false,
}: {
  label: string
  picture: Picture | null
  onChange: (picture: Picture | null) => void
  /** where it is not drawn elsewhere on the sheet */
  show?: boolean
  /** in a dialog of its own: its words are what is wanted next */
  asked?: boolean
}) {
  const { urlOf, about } = useMedia()
  if (picture === null)
    return (
      <FilesField
        label={label}
        files={[]}
        kinds={['picture']}
        most={1}
        megabytes={20}
        onChange={([id]) => {
          if (!id) return
          void about([id]).then(([file]) => {
            if (file?.width && file.height) onChange({ file: id, width: file.width, height: file.height, alt: '' })
          })
        }}
      />
    )
  return (
    <div className="flex flex-col gap-2">
      {show ? <img src={urlOf(picture.file)} alt={picture.alt} className="max-h-96 max-w-full rounded border" /> : null}
      <div className="flex flex-wrap items-end gap-3">
        <div className="min-w-64 flex-1">
          <TextField
            label="What the picture shows, for who cannot see it"
            value={picture.alt}
            maxLength={500}
            autoFocus={asked && picture.alt === ''}
            onChange={(e) => onChange({ ...picture, alt: e.target.value })}
          />
        </div>
        <Button size="small" onClick={() => onChange(null)}>
          {asked ? 'Another picture' : 'Take the picture out'}
        </Button>
      </div>
    </div>
  )
}
