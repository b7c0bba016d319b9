import { Tooltip } from 'radix-ui'
import type { ReactElement, ReactNode } from 'react'

/** A word or two on what a thing is, for the mouse that rests and the focus that comes. What matters stands on the page. */
export function Tip({ says, children }: { says: ReactNode; children: ReactElement }) {
  return (
    <Tooltip.Provider delayDuration={500} skipDelayDuration={200}>
      <Tooltip.Root>
        <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            sideOffset={6}
            collisionPadding={8}
            className="z-60 max-w-72 rounded bg-ink px-2 py-1 text-sm text-ground shadow-float"
          >
            {says}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  )
}
