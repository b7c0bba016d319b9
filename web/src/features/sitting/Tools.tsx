import { useState } from 'react'
import { keepUnsaved, unsaved } from '@/lib/drafts/device'
import { InkPad } from '@/media/InkPad'
import type { Stroke } from '@/media/ink'
import { Button } from '@/ui/Button'
import { Calculator } from './Calculator'

const NAMES: Record<string, string> = { calculator: 'Calculator', 'rough paper': 'Rough paper' }

/** What this work offers beside its questions. It is nobody's answer: it stays in this tab, and goes when the student leaves. */
export function Tools({ tools, sitting }: { tools: readonly string[]; sitting: string }) {
  const [open, setOpen] = useState('')
  return (
    <div className="border-b px-4 py-1.5">
      <div className="flex flex-wrap gap-2" role="group" aria-label="Tools">
        {tools.map((tool) => (
          <Button
            key={tool}
            size="small"
            className="min-h-11"
            aria-expanded={open === tool}
            onClick={() => setOpen(open === tool ? '' : tool)}
          >
            {open === tool ? 'Put away: ' : ''}
            {NAMES[tool] ?? tool}
          </Button>
        ))}
      </div>
      {open === 'calculator' ? (
        <section aria-label="Calculator" className="flex justify-center py-3">
          <Calculator place={`sums ${sitting}`} />
        </section>
      ) : null}
      {open === 'rough paper' ? (
        <section aria-label="Rough paper" className="mx-auto max-w-2xl py-3">
          <p className="mb-2 text-[15px] text-quiet">Only for you: it is not handed in and not kept.</p>
          <Rough place={`rough ${sitting}`} />
        </section>
      ) : null}
    </div>
  )
}

function Rough({ place }: { place: string }) {
  const [strokes, setStrokes] = useState(() => unsaved<Stroke[]>(place) ?? [])
  return (
    <InkPad
      label="Rough paper"
      ground="squared"
      picture={null}
      strokes={strokes}
      onChange={(next) => {
        setStrokes(next)
        keepUnsaved(place, next)
      }}
    />
  )
}
