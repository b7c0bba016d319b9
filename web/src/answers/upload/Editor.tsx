import { KINDS, type FileKind } from '@/media/words'
import { Tick } from '@/ui/Tick'
import type { EditorProps } from '../kinds'
import { RubricEditor } from '../parts/RubricEditor'
import { WholeField } from '../parts/WholeField'

const ALL = Object.keys(KINDS) as FileKind[]

/** Which kinds of files, how many and how large, and the rubric. */
export default function Editor({ rule, onChange }: EditorProps<'upload'>) {
  return (
    <div className="flex flex-col gap-4">
      <fieldset className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <legend className="text-sm font-semibold">Students may give</legend>
        {ALL.map((kind) => (
          <Tick
            key={kind}
            label={KINDS[kind].words}
            checked={rule.kinds.includes(kind)}
            onChange={(on) =>
              onChange({ ...rule, kinds: ALL.filter((k) => (k === kind ? on : rule.kinds.includes(k))) })
            }
          />
        ))}
      </fieldset>
      <div className="flex flex-wrap gap-5">
        <WholeField
          label="At most, files"
          value={rule.most}
          onChange={(most) => most !== null && onChange({ ...rule, most })}
        />
        <WholeField
          label="Of at most, MB"
          value={rule.megabytes}
          onChange={(megabytes) => megabytes !== null && onChange({ ...rule, megabytes })}
        />
      </div>
      <RubricEditor criteria={rule.criteria} onChange={(criteria) => onChange({ ...rule, criteria })} />
    </div>
  )
}
