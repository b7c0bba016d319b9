import type { ReactNode } from 'react'

/**
 * What is longer than its place: a region with a name, which the keyboard reaches and scrolls though it holds no control. It scrolls
 * by the browser's own bar, not by one drawn over it: fingers, trackpads and switch devices know that one, and it is as wide as its
 * reader has set it.
 */
export function Scroll({ label, children }: { label: string; children: ReactNode }) {
  return (
    <section aria-label={label} tabIndex={0} className="min-h-0 flex-1 overflow-auto focus-visible:-outline-offset-2">
      {children}
    </section>
  )
}
