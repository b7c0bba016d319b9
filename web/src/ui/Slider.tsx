import { Slider as Radix } from 'radix-ui'
import { useId, type ReactNode } from 'react'

const THUMB = 'block h-[18px] w-2.5 rounded-[2px] border border-rust bg-rust hover:bg-rust-dark'

/** A whole number within bounds that is felt rather than typed; the keyboard goes by ones, with Page keys by fives. */
export function Slider({
  label,
  note,
  value,
  least,
  most,
  onChange,
}: {
  label: string
  note?: ReactNode
  value: number
  least: number
  most: number
  onChange: (value: number) => void
}) {
  const id = useId()
  return (
    <div className="flex flex-col gap-1">
      <div className="flex items-baseline gap-2">
        <span id={id} className="flex-1 text-sm font-semibold">
          {label}
        </span>
        <span className="font-head text-xl font-semibold tabular-nums">{value}</span>
      </div>
      <Radix.Root
        value={[value]}
        min={least}
        max={most}
        step={1}
        disabled={most <= least}
        onValueChange={([next]) => next !== undefined && onChange(next)}
        className="relative flex h-6 touch-none items-center select-none data-disabled:opacity-55"
      >
        <Radix.Track className="h-[3px] flex-1 bg-edge">
          <Radix.Range className="absolute h-[3px] bg-rung" />
        </Radix.Track>
        <Radix.Thumb aria-labelledby={id} className={THUMB} />
      </Radix.Root>
      {note ? <p className="text-sm text-quiet">{note}</p> : null}
    </div>
  )
}

/** From where to where, within 0 and 100: two thumbs that keep at least `apart`. */
export function Span({
  label,
  from,
  to,
  apart,
  onChange,
}: {
  label: string
  from: number
  to: number
  apart: number
  onChange: (from: number, to: number) => void
}) {
  return (
    <div className="flex flex-col gap-1">
      <span className="text-sm font-semibold">{label}</span>
      <Radix.Root
        value={[from, to]}
        min={0}
        max={100}
        step={1}
        minStepsBetweenThumbs={apart}
        onValueChange={([a = 0, b = 100]) => onChange(a, b)}
        className="relative flex h-11 touch-none items-center select-none"
      >
        <Radix.Track className="h-[3px] flex-1 bg-edge">
          <Radix.Range className="absolute h-[3px] bg-rung" />
        </Radix.Track>
        <Radix.Thumb aria-label={`${label}, from`} className={THUMB} />
        <Radix.Thumb aria-label={`${label}, to`} className={THUMB} />
      </Radix.Root>
    </div>
  )
}
