import { Check, Minus } from 'lucide-react'
import { Checkbox, Label } from 'radix-ui'
import { useId, type ReactNode } from 'react'
import type { Roving } from '@/lib/roving'

/** Something that is so or not so. `some`: it is so of a part. */
export function Tick({
  label,
  checked,
  onChange,
  disabled = false,
  rove,
}: {
  label: ReactNode
  checked: boolean | 'some'
  onChange: (on: boolean) => void
  disabled?: boolean
  /** one of a list that is one Tab stop */
  rove?: Partial<ReturnType<Roving['item']>>
}) {
  const id = useId()
  return (
    <span className="flex items-start gap-2 py-0.5">
      <Checkbox.Root
        id={id}
        checked={checked === 'some' ? 'indeterminate' : checked}
        onCheckedChange={(on) => onChange(on === true)}
        disabled={disabled}
        {...rove}
        className="mt-0.5 flex size-[18px] shrink-0 items-center justify-center rounded-[3px] border border-edge bg-sheet enabled:hover:border-ink disabled:opacity-55 data-[state=checked]:border-rust data-[state=checked]:bg-rust data-[state=indeterminate]:border-rust"
      >
        <Checkbox.Indicator>
          {checked === 'some' ? (
            <Minus aria-hidden className="size-3.5 text-rust" strokeWidth={3} />
          ) : (
            <Check aria-hidden className="size-3.5 text-on-rust" strokeWidth={3} />
          )}
        </Checkbox.Indicator>
      </Checkbox.Root>
      <Label.Root htmlFor={id} className="min-w-0 flex-1 cursor-pointer">
        {label}
      </Label.Root>
    </span>
  )
}
