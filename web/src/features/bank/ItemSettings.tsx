import type { Item } from '@/answers/kinds'
import { TextField } from '@/ui/Field'
import { TermSelect } from '@/ui/TermSelect'
import { Tick } from '@/ui/Tick'

/** What the team knows a question by, and what else it asks; students see nothing of the first two. */
export function ItemSettings({
  item,
  onChange,
  faults = {},
}: {
  item: Item
  onChange: (item: Item) => void
  faults?: Record<string, string>
}) {
  return (
    <section className="flex flex-col gap-3">
      <TextField
        label="Title, for the team"
        value={item.title}
        onChange={(e) => onChange({ ...item, title: e.target.value })}
        fault={faults.title}
        placeholder="made from the prompt if left empty"
      />
      <TermSelect
        kind="skills"
        label="Skill"
        value={item.skill}
        onChange={(skill) => onChange({ ...item, skill })}
        fault={faults.skill}
      />
      <Tick
        label="Ask students how sure they are of their answer"
        checked={item.confidence ?? false}
        onChange={(confidence) => onChange({ ...item, confidence })}
      />
    </section>
  )
}
