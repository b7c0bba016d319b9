import { Tabs as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import { Tip } from './Tip'

const LIST = {
  line: 'no-print mt-4 flex flex-wrap gap-x-4 gap-y-1 border-b pb-1 text-[15px]',
  segments: 'no-print inline-flex overflow-hidden rounded border border-edge bg-sheet text-[15px]',
}
const TAB = {
  line: 'text-quiet decoration-rung decoration-4 underline-offset-[7px] hover:text-ink data-[state=active]:font-bold data-[state=active]:text-ink data-[state=active]:underline',
  segments:
    'px-3 py-1 text-quiet hover:text-ink focus-visible:-outline-offset-2 data-[state=active]:bg-ink data-[state=active]:text-ground',
}

/** Views of one thing, one at a time. The one that is shown wears the rung. A `hint` names a view's key. */
export function Tabs<V extends string>({
  label,
  tabs,
  value,
  onChange,
  look = 'line',
  children,
}: {
  label: string
  tabs: readonly { value: V; label: string; hint?: string }[]
  value: V
  onChange: (value: V) => void
  /** a line of words, or a few joined pieces */
  look?: keyof typeof LIST
  /** what the shown one shows */
  children: ReactNode
}) {
  return (
    <Radix.Root value={value} onValueChange={(next) => onChange(next as V)}>
      <Radix.List aria-label={label} className={LIST[look]}>
        {tabs.map((tab) => {
          const trigger = (
            <Radix.Trigger key={tab.value} value={tab.value} className={TAB[look]}>
              {tab.label}
            </Radix.Trigger>
          )
          return tab.hint ? (
            <Tip key={tab.value} says={`Key: ${tab.hint}`}>
              <span>{trigger}</span>
            </Tip>
          ) : (
            trigger
          )
        })}
      </Radix.List>
      <Radix.Content value={value}>{children}</Radix.Content>
    </Radix.Root>
  )
}
