import { useEffect, useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import type { Look } from '@/media/looks'
import { SourcePage } from '@/media/SourcePage'
import type { OnPage } from './onPage'
import type { Step, Value } from './store'

/**
 * What a question is read with: at its left where there is room, over it on a phone, where it is open for the first question of its own
 * and folded for the others until it is wanted.
 */
export function Beside({
  sources,
  steps,
  step,
  wanted,
  valueOf,
  busy,
  kindOf,
  onAnswer,
  onAt,
  onStop,
  whole = false,
}: {
  sources: readonly Schemas['PaperPlacedSourceView'][]
  /** of this part */
  steps: readonly Step[]
  /** the one in front of the student */
  step: Step | undefined
  /** counts how often it was asked for, which opens it */
  wanted: number
  valueOf: (step: Step) => Value | null
  busy: boolean
  kindOf: Parameters<OnPage>[1]['kindOf']
  onAnswer: (step: Step, value: Value) => void
  /** its mark on the page was pressed */
  onAt: (step: Step) => void
  /** brings the question at whose moment it has stopped */
  onStop: (step: Step) => void
  /** its questions stand together under it */
  whole?: boolean
}) {
  /** the first question that is read with it */
  const first = steps.find((s) => s.beside.join() === step?.beside.join()) === step
  // A page is answered where it is read; what that takes is fetched for such sources alone.
  const paged = steps.some((s) => s.looksAt?.page !== undefined)
  const [onPage, setOnPage] = useState<OnPage | null>(null)
  useEffect(() => {
    // Without a network it is answered beside the page.
    if (paged) import('./onPage').then((it) => setOnPage(() => it.onPage)).catch(() => undefined)
  }, [paged])
  const [pressed, setPressed] = useState<string | null>(null)
  const looks = steps.flatMap((s): Look[] =>
    s.looksAt
      ? [
          {
            entry: s.entry,
            number: s.number,
            current: s === step,
            at: s.looksAt,
            ...onPage?.(s, {
              current: s === step,
              pressed: pressed === s.entry,
              value: valueOf(s),
              disabled: busy,
              kindOf,
              onAnswer: (value) => onAnswer(s, value),
              onPress: () => {
                setPressed(s.entry)
                onAt(s)
              },
            }),
          },
        ]
      : [],
  )
  // Whoever opens or folds it has decided for all its questions.
  const [opened, setOpened] = useState<boolean | null>(null)
  const [before, setBefore] = useState(wanted)
  if (wanted !== before) {
    setBefore(wanted)
    setOpened(true)
  }
  const open = opened ?? (whole || first)
  const title = sources.map((s) => s.title || 'Source').join(', ')
  return (
    <aside
      aria-label="To read with it"
      // It scrolls by itself, also by keys.
      tabIndex={0}
      data-scrolls
      data-reads="source"
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
            <SourcePage
              source={source}
              looks={looks.filter((l) => l.at.source === source.entry)}
              onStop={(entry) => {
                const met = steps.find((s) => s.entry === entry)
                if (met && met !== step) onStop(met)
              }}
            />
          </section>
        ))}
      </div>
    </aside>
  )
}
