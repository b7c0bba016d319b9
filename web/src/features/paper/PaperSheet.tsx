import type { ReactNode } from 'react'
import { inMarks } from '@/lib/format'
import { Button } from '@/ui/Button'
import type { Entry } from './draft'

/** One part of the paper as it will be read; the one that is chosen is open. */
export function PaperSheet({
  entry,
  number,
  on,
  onSelect,
  onRemove,
  children,
}: {
  entry: Entry
  number: number | undefined
  on: boolean
  onSelect: () => void
  onRemove: () => void
  children: ReactNode
}) {
  const points = entry.kind === 'question' ? entry.points : ''
  return (
    <section
      aria-label={number ? `Question ${number}` : 'Source'}
      className={`rounded border bg-sheet ${on ? 'rung-top p-6' : 'cursor-pointer px-6 py-3'}`}
      onClick={on ? undefined : onSelect}
    >
      <div className="flex gap-5">
        <button
          className="w-8 shrink-0 self-start text-left font-head text-2xl font-semibold"
          onClick={onSelect}
          aria-label={number ? `Select question ${number}` : 'Select the source'}
        >
          {number ?? '¶'}
        </button>
        <div className="min-w-0 flex-1">{children}</div>
        <div className="flex flex-col items-end gap-2 text-sm whitespace-nowrap text-quiet">
          {points ? inMarks(points) : 'source'}
          {on ? (
            <Button kind="quiet" size="small" onClick={onRemove}>
              Take out
            </Button>
          ) : null}
        </div>
      </div>
    </section>
  )
}
