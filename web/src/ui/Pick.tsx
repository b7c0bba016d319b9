import { ToggleGroup } from 'radix-ui'

/** Which part of a list is shown: one of two or three words in a line. */
export function Pick<V extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string
  options: readonly { value: V; label: string }[]
  value: V
  onChange: (value: V) => void
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChange(next as V)}
      className="flex flex-wrap gap-x-4"
    >
      {options.map((o) => (
        <ToggleGroup.Item
          key={o.value}
          value={o.value}
          className="text-quiet decoration-rung decoration-4 underline-offset-[6px] hover:text-ink data-[state=on]:font-bold data-[state=on]:text-ink data-[state=on]:underline"
        >
          {o.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  )
}
