import { RadioGroup } from 'radix-ui'
import type { ReactNode } from 'react'

/** A list of answers of which one is said to be right, each with its own fields. */
export function RightOne({
  value,
  onChange,
  children,
}: {
  value: number
  onChange: (at: number) => void
  children: ReactNode
}) {
  return (
    <RadioGroup.Root
      asChild
      aria-label="Which answer is right?"
      value={String(value)}
      onValueChange={(next) => onChange(Number(next))}
    >
      <div>
        <p className="text-[16px] text-quiet">Mark the one that is right.</p>
        <ul className="mt-2 flex flex-col gap-4">{children}</ul>
      </div>
    </RadioGroup.Root>
  )
}

RightOne.Pick = function Pick({ at, label }: { at: number; label: string }) {
  return (
    <RadioGroup.Item
      value={String(at)}
      aria-label={label}
      className="mt-8 flex size-6 shrink-0 items-center justify-center rounded-full border-2 border-edge bg-sheet hover:border-ink data-[state=checked]:border-rust"
    >
      <RadioGroup.Indicator className="h-2 w-3.5 rounded-[1px] bg-rung" />
    </RadioGroup.Item>
  )
}
