import { Label, RadioGroup } from 'radix-ui'
import { useId, type ReactNode } from 'react'

/** One of a few, all seen at once. The one that is chosen wears the rung. */
export function Radios<V extends string>({
  label,
  options,
  value,
  onChange,
  hideLabel = false,
  sideBySide = false,
}: {
  label: string
  options: readonly { value: V; label: ReactNode; aside?: ReactNode; note?: ReactNode }[]
  value: V
  onChange: (value: V) => void
  hideLabel?: boolean
  sideBySide?: boolean
}) {
  const id = useId()
  return (
    <div>
      <p id={id} className={hideLabel ? 'sr-only' : 'text-sm font-semibold'}>
        {label}
      </p>
      <RadioGroup.Root
        aria-labelledby={id}
        value={value}
        onValueChange={(next) => onChange(next as V)}
        className={sideBySide ? 'mt-1 grid gap-4 sm:grid-cols-2' : 'mt-1 flex flex-col'}
      >
        {options.map((o, i) => (
          <div key={o.value} className="flex items-start gap-2 py-0.5">
            <RadioGroup.Item
              id={`${id}-${i}`}
              value={o.value}
              aria-describedby={o.note ? `${id}-${i}-note` : undefined}
              className="mt-[3px] flex size-[18px] shrink-0 items-center justify-center rounded-full border border-edge bg-sheet hover:border-ink data-[state=checked]:border-rust"
            >
              <RadioGroup.Indicator className="h-1.5 w-3 rounded-[1px] bg-rung" />
            </RadioGroup.Item>
            <span className="min-w-0 flex-1">
              <Label.Root htmlFor={`${id}-${i}`} className="flex cursor-pointer gap-2">
                <span className="flex-1">{o.label}</span>
                {o.aside === undefined ? null : <span className="text-sm text-quiet tabular-nums">{o.aside}</span>}
              </Label.Root>
              {o.note ? (
                <span id={`${id}-${i}-note`} className="block text-sm text-quiet">
                  {o.note}
                </span>
              ) : null}
            </span>
          </div>
        ))}
      </RadioGroup.Root>
    </div>
  )
}
