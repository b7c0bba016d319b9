import { DateTimeField } from '@/ui/DateTimeField'
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
      <DateTimeField
        label="Opens"
        value={typed.opens}
        onChange={(opens) => onChange({ ...typed, opens })}
        note="Empty: at once."
        fault={faults?.opensAt}
      />
      <DateTimeField
        label="Closes"
        value={typed.closes}
        onChange={(closes) => onChange({ ...typed, closes })}
        note={closesNote}
        fault={faults?.closesAt}
      />
    </>
  )
}
