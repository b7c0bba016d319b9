import { Popover } from 'radix-ui'
import type { ReactNode } from 'react'
import type { Schemas } from '@/lib/api/client'

type Figure = Schemas['ResultsFigureView']

/** A figure that tells its n, interval and formula when it is asked. */
export function Explained({
  figure,
  label,
  children,
  show,
}: {
  figure: Figure
  label: string
  children: ReactNode
  show: (value: number) => string
}) {
  return (
    <Popover.Root>
      <Popover.Trigger
        className="inline-block min-h-6 min-w-6 cursor-help rounded underline decoration-line decoration-dotted decoration-2 underline-offset-4 hover:decoration-ink"
        aria-label={`${label}: how was this computed?`}
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content sideOffset={6} className="z-50 max-w-sm rounded border bg-sheet p-4 text-[15px] shadow-float">
          <p className="font-head font-semibold">{label}</p>
          <p className="mt-1">{figure.formula}</p>
          <p className="mt-1 text-quiet">
            n = {figure.n}
            {figure.low !== null && figure.high !== null ? `, ${show(figure.low)} to ${show(figure.high)}` : ''}
            {figure.note === 'few' ? '. Few: read it with care.' : figure.note ? `. ${figure.note}` : ''}
          </p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
