import * as z from 'zod/mini'
import { DateTimeField } from '@/ui/DateTimeField'
import { Tick } from '@/ui/Tick'

/** When a handout is there, as its fields hold it: local times to the minute, or nothing. */
export const windowShape = { visible: z.boolean(), opensAt: z.string(), closesAt: z.string() }
export type Typed = { visible: boolean; opensAt: string; closesAt: string }

export function WindowFields({
  typed,
  set,
  fault,
  closesNote = 'Empty: when you close it.',
}: {
  typed: Typed
  set: {
    (name: 'visible', value: boolean): void
    (name: 'opensAt' | 'closesAt', value: string): void
  }
  fault: (name: 'opensAt' | 'closesAt') => string | undefined
  closesNote?: string
}) {
  return (
    <>
      <Tick label="Students can see it" checked={typed.visible} onChange={(on) => set('visible', on)} />
      <DateTimeField
        label="Opens"
        value={typed.opensAt}
        onChange={(at) => set('opensAt', at)}
        note="Empty: at once."
        fault={fault('opensAt')}
      />
      <DateTimeField
        label="Closes"
        value={typed.closesAt}
        onChange={(at) => set('closesAt', at)}
        note={closesNote}
        fault={fault('closesAt')}
      />
    </>
  )
}
