import { Label, Switch as Radix } from 'radix-ui'
import { useId, type ReactNode } from 'react'

/** Something that is on or off and holds at once, where a tick would wait to be sent. */
export function Switch({ label, on, onChange }: { label: ReactNode; on: boolean; onChange: (on: boolean) => void }) {
  const id = useId()
  return (
    <span className="flex items-center gap-2 py-0.5">
      <Radix.Root
        id={id}
        checked={on}
        onCheckedChange={onChange}
        className="relative h-[18px] w-9 shrink-0 rounded-[3px] border border-edge bg-sheet hover:border-ink data-[state=checked]:border-rust data-[state=checked]:bg-rust"
      >
        <Radix.Thumb className="absolute top-px left-px block h-[14px] w-[14px] rounded-[2px] bg-quiet data-[state=checked]:left-[19px] data-[state=checked]:bg-on-rust" />
      </Radix.Root>
      <Label.Root htmlFor={id} className="min-w-0 flex-1 cursor-pointer">
        {label}
      </Label.Root>
    </span>
  )
}
