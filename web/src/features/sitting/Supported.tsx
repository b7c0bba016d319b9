import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { LineFocus } from './LineFocus'
import { ReadAloud } from './ReadAloud'

/** What the device does for a student who gets support: quietly, where they look for it. */
export function Supported({
  support,
  step,
  withSource,
}: {
  support: Schemas['SittingSupportView']
  /** names what is in front of the student */
  step: string
  withSource: boolean
}) {
  const [focus, setFocus] = useState(support.lineFocus)
  if (!support.readAloud && !support.lineFocus) return null
  return (
    <div className="flex flex-wrap items-center gap-2 border-b px-4 py-2">
      {support.readAloud ? <ReadAloud step={step} withSource={withSource} /> : null}
      {support.lineFocus ? (
        <Button className="min-h-11" aria-pressed={focus} onClick={() => setFocus(!focus)}>
          {focus ? 'Light the whole page' : 'Light a few lines'}
        </Button>
      ) : null}
      {support.lineFocus && focus ? <LineFocus /> : null}
    </div>
  )
}
