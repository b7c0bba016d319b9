import { Pick } from '@/ui/Pick'
import type { EditorProps } from '../kinds'
import { RubricEditor } from '../parts/RubricEditor'
import { WholeField } from '../parts/WholeField'

const MEDIA = [
  { value: 'sound', label: 'Sound' },
  { value: 'film', label: 'Film' },
] as const

/** Sound or film, how long at most, and the rubric. */
export default function Editor({ rule, onChange }: EditorProps<'recording'>) {
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <Pick
          label="What is recorded"
          options={MEDIA}
          value={rule.medium}
          onChange={(medium) => onChange({ ...rule, medium })}
        />
        <WholeField
          label="At most, seconds"
          value={rule.seconds}
          onChange={(seconds) => seconds !== null && onChange({ ...rule, seconds })}
        />
        <p className="text-sm text-quiet">from 5 to 600</p>
      </div>
      <RubricEditor criteria={rule.criteria} onChange={(criteria) => onChange({ ...rule, criteria })} />
    </div>
  )
}
