import { TextField } from '@/ui/Field'
import type { EditorProps } from '../kinds'
import { listed } from '../parts/Lines'
import { RubricEditor } from '../parts/RubricEditor'
import { WholeField } from '../parts/WholeField'
import { useState } from 'react'

/** How much is to be written, beginnings to go on from, and the rubric. */
export default function Editor({ rule, onChange }: EditorProps<'open'>) {
  const [starters, setStarters] = useState<string | null>(null)
  return (
    <div className="flex flex-col gap-5">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <WholeField label="At least, words" value={rule.least} onChange={(least) => onChange({ ...rule, least })} />
        <WholeField label="At most, words" value={rule.most} onChange={(most) => onChange({ ...rule, most })} />
        <div className="min-w-64 flex-1">
          <TextField
            label="Beginnings to go on from, parted by /"
            placeholder="The tide rises because / At neaps"
            value={starters ?? rule.starters.join(' / ')}
            onChange={(e) => {
              setStarters(e.target.value)
              onChange({ ...rule, starters: listed(e.target.value.replace(/\s*\/\s*/g, '\n')).slice(0, 12) })
            }}
            onBlur={() => setStarters(null)}
          />
        </div>
      </div>
      <RubricEditor criteria={rule.criteria} onChange={(criteria) => onChange({ ...rule, criteria })} />
    </div>
  )
}
