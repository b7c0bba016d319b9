import { FilesField } from '@/media/FilesField'
import type { InputProps } from '../kinds'
import { BesideField } from '../parts/BesideField'
import { LookedFor } from '../parts/LookedFor'
import { filesOf, textOf } from '../parts/values'

/** Files of one's own, with words beside them. */
export default function Input({ face, value, onChange, disabled, heading }: InputProps<'upload'>) {
  const [files, text] = [filesOf(value), textOf(value)]
  return (
    <div className="flex flex-col gap-4">
      <FilesField
        label={`Your files for ${heading}`}
        files={files}
        kinds={face.kinds}
        most={face.most}
        megabytes={face.megabytes}
        camera={face.kinds.includes('picture')}
        disabled={disabled}
        onChange={(next) => onChange({ files: next, text })}
      />
      <BesideField
        heading={heading}
        text={text}
        disabled={disabled}
        onChange={(next) => onChange({ files, text: next })}
      />
      <LookedFor criteria={face.criteria} />
    </div>
  )
}
