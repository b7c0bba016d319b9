import { RadioGroup } from 'radix-ui'
import { useId } from 'react'
import { Fold } from './Fold'

const SHOWN = 8

/**
 * One way to narrow a list: what there is with how many of each, the chosen one with the rung. The most frequent stand
 * open, the rest in a fold.
 */
export function Facet({
  label,
  any,
  options,
  value,
  onChange,
  asListed = false,
}: {
  label: string
  /** what it says when nothing is chosen */
  any: string
  options: readonly { value: string; label: string; n: number }[]
  value: string
  onChange: (value: string) => void
  /** in the order in which they are given, not the most frequent first */
  asListed?: boolean
}) {
  const id = useId()
  const there = options.filter((o) => o.n > 0 || o.value === value)
  if (there.length === 0) return null
  const inOrder = asListed ? there : [...there].sort((a, b) => b.n - a.n || a.label.localeCompare(b.label))
  const [first, rest] = [inOrder.slice(0, SHOWN), inOrder.slice(SHOWN)]
  const row = (o: { value: string; label: string; n?: number }) => (
    <RadioGroup.Item
      key={o.value}
      value={o.value}
      className="group relative flex w-full items-baseline gap-2 rounded-[3px] px-2 py-0.5 text-left hover:bg-sheet data-[state=checked]:bg-sheet data-[state=checked]:font-bold"
    >
      <RadioGroup.Indicator className="absolute top-1/2 -left-1.5 h-1.5 w-3 -translate-y-1/2 bg-rung" />
      <span className="min-w-0 flex-1">{o.label}</span>
      {o.n === undefined ? null : <span className="font-normal text-quiet tabular-nums">{o.n}</span>}
    </RadioGroup.Item>
  )
  return (
    <div className="text-sm">
      <p id={id} className="pb-0.5 font-semibold text-quiet">
        {label}
      </p>
      <RadioGroup.Root aria-labelledby={id} value={value} onValueChange={onChange}>
        {row({ value: '', label: any })}
        {first.map(row)}
        {rest.length > 0 ? <Fold label={`${rest.length} more`}>{rest.map(row)}</Fold> : null}
      </RadioGroup.Root>
    </div>
  )
}
