import { GROUNDS, type GroundKind } from '@/media/Ground'
import { PictureField } from '@/media/PictureField'
import { Pick } from '@/ui/Pick'
import { Tick } from '@/ui/Tick'
import type { EditorProps } from '../kinds'
import { RubricEditor } from '../parts/RubricEditor'

const KINDS = Object.entries(GROUNDS).map(([value, label]) => ({ value: value as GroundKind, label }))

/** What is drawn on, whether paper will do, and the rubric. */
export default function Editor({ rule, onChange }: EditorProps<'working'>) {
  return (
    <div className="flex flex-col gap-4">
      <Pick
        label="What students draw on"
        options={KINDS}
        value={rule.ground}
        onChange={(ground) => onChange({ ...rule, ground })}
      />
      {rule.ground === 'picture' ? (
        <PictureField
          label="Picture that is drawn on"
          picture={rule.picture}
          onChange={(picture) => onChange({ ...rule, picture })}
        />
      ) : null}
      <Tick
        label="A photo of paper may be given instead"
        checked={rule.photo}
        onChange={(photo) => onChange({ ...rule, photo })}
      />
      <RubricEditor criteria={rule.criteria} onChange={(criteria) => onChange({ ...rule, criteria })} />
    </div>
  )
}
