import { useEffect, type ReactNode } from 'react'
import { useArrival } from '@/lib/focus'

/** The head of a screen: what it is, how it stands, and what can be done. */
export function Head({ title, note, children }: { title: ReactNode; note?: ReactNode; children?: ReactNode }) {
  const heading = useArrival()
  useEffect(() => {
    if (typeof title === 'string') document.title = `${title} · Chalk Ladder`
  }, [title])
  return (
    // On paper the acts go, the title and note stay.
    <header className="flex min-h-14 shrink-0 flex-wrap items-center gap-x-4 gap-y-2 border-b px-5 py-2 print:[&>*:nth-child(n+3)]:hidden">
      <h1 ref={heading} tabIndex={-1} className="text-xl outline-none">
        {title}
      </h1>
      <div className="min-w-40 flex-1 text-[15px] text-quiet">{note}</div>
      {children}
    </header>
  )
}

/**
 * Something to work on in the middle, what it came from at its left, what can be said of it at its right. On a narrow
 * screen they follow each other and the page scrolls as one; what it came from keeps to the upper half. Each is a place of its own, so
 * that what stands in it unseen, such as words for a screen reader, makes no page longer.
 */
export function Desk({
  left,
  right,
  children,
  leftLabel,
  rightLabel,
  slim = false,
}: {
  left?: ReactNode
  right?: ReactNode
  children: ReactNode
  leftLabel?: string
  rightLabel?: string
  /** with little at its left */
  slim?: boolean
}) {
  return (
    <div className="flex flex-col lg:min-h-0 lg:flex-1 lg:flex-row print:block">
      {left ? (
        <section
          aria-label={leftLabel}
          className={`relative max-h-[45vh] shrink-0 overflow-auto border-b p-4 lg:max-h-none lg:border-r lg:border-b-0 print:hidden ${slim ? 'lg:w-[176px]' : 'lg:w-[250px]'}`}
        >
          {left}
        </section>
      ) : null}
      <div className="relative min-w-0 lg:min-h-0 lg:flex-1 lg:overflow-auto print:overflow-visible">{children}</div>
      {right ? (
        <section
          aria-label={rightLabel}
          className="relative shrink-0 border-t bg-pale p-5 max-lg:*:max-w-xl lg:w-[330px] lg:overflow-auto lg:border-t-0 lg:border-l print:w-auto print:max-w-md print:overflow-visible print:border-l-0"
        >
          {right}
        </section>
      ) : null}
    </div>
  )
}
