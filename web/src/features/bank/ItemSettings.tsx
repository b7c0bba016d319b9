import { memo } from 'react'
import type { Item } from '@/answers/kinds'
import { TextField } from '@/ui/Field'
import { TermSelect } from '@/ui/TermSelect'
import { Tick } from '@/ui/Tick'

type Settings = Pick<Item, 'title' | 'skill' | 'confidence' | 'working'>
const NONE: Record<string, string> = {}

/**
 * What the team knows a question by, and what else it asks; students see nothing of the first two. Drawn anew with these alone,
 * not with each key that goes into the question.
 */
export const ItemSettings = memo(function ItemSettings({
  title,
  skill,
  confidence,
  working,
  onChange,
  faults = NONE,
}: Settings & { onChange: (change: Partial<Settings>) => void; faults?: Record<string, string> }) {
  return (
    <section className="flex flex-col gap-3">
      <TextField
        label="Title, for the team"
        value={title}
        onChange={(e) => onChange({ title: e.target.value })}
        fault={faults.title}
        placeholder="made from the prompt if left empty"
      />
      <TermSelect
        kind="skills"
        label="Skill"
        value={skill}
        onChange={(next) => onChange({ skill: next })}
        fault={faults.skill}
      />
      <Tick
        label="Ask students how sure they are of their answer"
        checked={confidence ?? false}
        onChange={(on) => onChange({ confidence: on })}
      />
      <Tick
        label="Let students show their working beside the answer"
        checked={working ?? false}
        onChange={(on) => onChange({ working: on })}
      />
    </section>
  )
})
