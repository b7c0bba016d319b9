import { ChevronRight } from 'lucide-react'
import { Accordion } from 'radix-ui'
import type { ReactNode } from 'react'

/** Several things of a kind under each other, each unfolded for who asks; arrows go from head to head. */
export function Folds({ label, parts }: { label: string; parts: { id: string; head: ReactNode; body: ReactNode }[] }) {
  return (
    <Accordion.Root type="multiple" aria-label={label}>
      {parts.map((part) => (
        <Accordion.Item key={part.id} value={part.id} className="py-0.5">
          <Accordion.Header asChild>
            <h3 className="text-[15px] font-normal">
              <Accordion.Trigger className="group flex items-center gap-1 text-left font-sans text-quiet hover:text-ink">
                <ChevronRight aria-hidden className="size-4 shrink-0 group-data-[state=open]:rotate-90" />
                {part.head}
              </Accordion.Trigger>
            </h3>
          </Accordion.Header>
          <Accordion.Content className="mt-1 mb-2">{part.body}</Accordion.Content>
        </Accordion.Item>
      ))}
    </Accordion.Root>
  )
}
