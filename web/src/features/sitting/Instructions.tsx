import { useState } from 'react'
import { Rich } from '@/lib/Rich'

/** What is told before a section's questions: open at the first of them, folded at the others until it is wanted. */
export function Instructions({ html, first }: { html: string; first: boolean }) {
  // Whoever opens or folds it has decided for the section.
  const [opened, setOpened] = useState<boolean | null>(null)
  const open = opened ?? first
  return (
    <section aria-label="Instructions" className="mt-3 rounded border border-blue px-3 py-1">
      <button
        type="button"
        aria-expanded={open}
        className="flex min-h-11 w-full items-center gap-2 text-left font-semibold text-blue"
        onClick={() => setOpened(!open)}
      >
        <span className="flex-1">Before you begin</span>
        <span className="text-[0.85em] font-normal underline">{open ? 'fold' : 'read again'}</span>
      </button>
      {open ? <Rich html={html} className="pb-2" /> : null}
    </section>
  )
}
