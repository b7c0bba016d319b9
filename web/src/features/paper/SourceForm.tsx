import type { Schemas } from '@/lib/api/client'
import { PictureField } from '@/media/PictureField'
import { TextField } from '@/ui/Field'
import { RichEditor } from '@/ui/RichEditor'

type Source = Schemas['Source']

/** A passage, a picture, or both. */
export function SourceForm({ source, onChange }: { source: Source; onChange: (source: Source) => void }) {
  return (
    <div className="flex flex-col gap-4">
      <TextField
        label="Title of the source"
        value={source.title}
        onChange={(e) => onChange({ ...source, title: e.target.value })}
      />
      <RichEditor label="Passage" value={source.html} onChange={(html) => onChange({ ...source, html })} />
      <PictureField
        label="Picture of the source"
        picture={source.picture ? { file: source.picture, width: 1, height: 1, alt: source.alt } : null}
        onChange={(picture) => onChange({ ...source, picture: picture?.file ?? null, alt: picture?.alt ?? '' })}
      />
    </div>
  )
}
