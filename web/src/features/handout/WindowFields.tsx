import { TextField } from '@/ui/Field'
import { Tick } from '@/ui/Tick'

/** When a handout is there, as its fields hold it: local times to the minute, or nothing. */
export type Typed = { visible: boolean; opens: string; closes: string }

export function WindowFields({
  typed,
  onChange,
  faults,
  closesNote = 'Empty: when you close it.',
}: {
  typed: Typed
  onChange: (typed: Typed) => void
  faults: Record<string, string> | undefined
  closesNote?: string
}) {
  return (
    <>
      <Tick
        label="Students can see it"
        checked={typed.visible}
        onChange={(on) => onChange({ ...typed, visible: on })}
      />
      <TextField
        label="Opens"
        type="datetime-local"
        value={typed.opens}
        onChange={(e) => onChange({ ...typed, opens: e.target.value })}
        note="Empty: at once."
        fault={faults?.opensAt}
      />
      <TextField
        label="Closes"
        type="datetime-local"
        value={typed.closes}
        onChange={(e) => onChange({ ...typed, closes: e.target.value })}
        note={closesNote}
        fault={faults?.closesAt}
      />
    </>
  )
}
