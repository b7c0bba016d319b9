import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import type { Look } from '@/media/looks'
import { SourcePage } from '@/media/SourcePage'

/**
 * What a question is read with: at its left where there is room, over it on a phone, where it is open for the first question of its own
 * and folded for the others until it is wanted.
 */
export function Beside({
  sources,
  first,
  looks,
  wanted,
  onStop,
}: {
  sources: readonly Schemas['PaperPlacedSourceView'][]
  /** the first question that is read with it */
  first: boolean
  /** where the questions look that have been met */
  looks: readonly Look[]
  /** counts how often it was asked for, which opens it */
  wanted: number
  onStop: (entry: string) => void
}) {
  // Whoever opens or folds it has decided for all its questions.
  const [opened, setOpened] = useState<boolean | null>(null)
  const [before, setBefore] = useState(wanted)
  if (wanted !== before) {
    setBefore(wanted)
    setOpened(true)
  }
  const open = opened ?? first
  const title = sources.map((s) => s.title || 'Source').join(', ')
  return (
    <aside
      aria-label="To read with it"
      // It scrolls by itself, also by keys.
      tabIndex={0}
      data-scrolls
      className="max-lg:mb-4 lg:sticky lg:top-4 lg:max-h-[calc(100dvh-10rem)] lg:w-[48%] lg:shrink-0 lg:overflow-auto"
    >
      <button
        type="button"
        aria-expanded={open}
        className="flex min-h-11 w-full items-center gap-2 rounded border border-edge px-3 text-left font-semibold lg:hidden"
        onClick={() => setOpened(!open)}
      >
        <span className="min-w-0 flex-1 truncate">{title}</span>
        <span className="text-[0.85em] font-normal text-blue underline">{open ? 'fold' : 'read'}</span>
      </button>
      <div className={`flex flex-col gap-4 max-lg:mt-2 ${open ? '' : 'max-lg:hidden'}`}>
        {sources.map((source) => (
          <section key={source.entry} aria-label={source.title || 'Source'}>
            <h2 className="mb-2 font-head text-[1.1em] font-semibold max-lg:sr-only">{source.title}</h2>
            <SourcePage source={source} looks={looks.filter((l) => l.at.source === source.entry)} onStop={onStop} />
          </section>
        ))}
      </div>
    </aside>
  )
}
