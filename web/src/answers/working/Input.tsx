import { lazy, Suspense } from 'react'
import { FilesField } from '@/media/FilesField'
import { Loading } from '@/ui/States'
import type { InputProps } from '../kinds'
import { BesideField } from '../parts/BesideField'
import { LookedFor } from '../parts/LookedFor'
import { filesOf, strokesOf, textOf } from '../parts/values'

const InkPad = lazy(() => import('@/media/InkPad').then((module) => ({ default: module.InkPad })))

const MOST_PHOTOS = 4
const MEGABYTES = 20

/** A sheet to draw on, a photo of paper instead where that is allowed, and a line of words. */
export default function Input({ face, value, onChange, disabled, heading }: InputProps<'working'>) {
  const now = { strokes: strokesOf(value), files: filesOf(value), text: textOf(value) }
  return (
    <div className="flex flex-col gap-4">
      <Suspense fallback={<Loading what="Laying out the sheet" />}>
        <InkPad
          label={`Drawing for ${heading}`}
          ground={face.ground}
          picture={face.picture}
          strokes={now.strokes}
          disabled={disabled}
          onChange={(strokes) => onChange({ ...now, strokes })}
        />
      </Suspense>
      {face.photo ? (
        <FilesField
          label={`Photo of paper for ${heading}`}
          files={now.files}
          kinds={['picture', 'pdf']}
          most={MOST_PHOTOS}
          megabytes={MEGABYTES}
          camera
          disabled={disabled}
          onChange={(files) => onChange({ ...now, files })}
        />
      ) : null}
      <BesideField
        heading={heading}
        text={now.text}
        disabled={disabled}
        onChange={(text) => onChange({ ...now, text })}
      />
      <LookedFor criteria={face.criteria} />
    </div>
  )
}
