import { Tabs as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import { Tip } from './Tip'

/** Views of one thing, one at a time. The one that is shown wears the rung. A `hint` names a view's key. */
export function Tabs<V extends string>({
  label,
  tabs,
  value,
  onChange,
  children,
}: {
  label: string
  tabs: readonly { value: V; label: string; hint?: string }[]
  value: V
  onChange: (value: V) => void
  /** what the shown one shows */
  children: ReactNode
}) {
  return (
    <Radix.Root value={value} onValueChange={(next) => onChange(next as V)}>
      <Radix.List aria-label={label} className="no-print mt-4 flex flex-wrap gap-x-4 gap-y-1 border-b pb-1 text-[15px]">
        {tabs.map((tab) => {
          const trigger = (
            <Radix.Trigger
              key={tab.value}
              value={tab.value}
              className="text-quiet decoration-rung decoration-4 underline-offset-[7px] hover:text-ink data-[state=active]:font-bold data-[state=active]:text-ink data-[state=active]:underline"
            >
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
