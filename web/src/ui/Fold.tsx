import { ChevronRight } from 'lucide-react'
import { Collapsible } from 'radix-ui'
import { useState, type ReactNode } from 'react'

/** What is there for who asks. */
export function Fold({ label, children }: { label: ReactNode; children: ReactNode }) {
  const [open, setOpen] = useState(false)
  return (
    <Collapsible.Root open={open} onOpenChange={setOpen}>
      <Collapsible.Trigger className="flex items-center gap-1 text-[15px] text-quiet hover:text-ink">
        <ChevronRight aria-hidden className={`size-4 ${open ? 'rotate-90' : ''}`} />
        {label}
      </Collapsible.Trigger>
      <Collapsible.Content className="mt-1">{children}</Collapsible.Content>
    </Collapsible.Root>
  )
}
