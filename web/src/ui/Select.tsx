import { cva } from 'class-variance-authority'
import { Check, ChevronDown } from 'lucide-react'
import { Select } from 'radix-ui'
import { useId } from 'react'
import { Frame, told, type Labelled } from './Field'

export type Option<V extends string = string> = { value: V; label: string }

const trigger = cva(
  'inline-flex items-center justify-between gap-2 rounded border text-left enabled:hover:border-ink disabled:opacity-55 aria-invalid:border-2 aria-invalid:border-bad',
  {
    variants: {
      size: {
        field: 'min-h-[38px] border-edge bg-sheet px-2.5 py-1.5',
        small: 'min-h-8 border-edge bg-sheet px-2 py-1 text-[15px]',
        /** without a box, on the sheet */
        place: 'min-h-7 border-transparent px-1 text-[15px]',
      },
      wide: { true: 'w-full', false: 'max-w-full' },
    },
  },
)

// The primitive keeps '' for "nothing chosen yet", while "any" and "none" are choices of ours.
const NONE = '—none'
const inside = (value: string) => (value === '' ? NONE : value)

/** One of several that are known, written out: its label, and what it is now. */
export function SelectField<V extends string = string>({
  label,
  note,
  fault,
  hideLabel,
  options,
  value,
  onChange,
  disabled = false,
  size = 'field',
  wide = true,
}: Labelled & {
  options: readonly Option<V>[]
  value: V
  onChange: (value: V) => void
  disabled?: boolean
  size?: 'field' | 'small' | 'place'
  /** as wide as its place, or as what it says */
  wide?: boolean
}) {
  const id = useId()
  return (
    <Frame id={id} {...{ label, note, fault, hideLabel }}>
      <Select.Root
        value={inside(value)}
        onValueChange={(next) => onChange((next === NONE ? '' : next) as V)}
        disabled={disabled}
      >
        <Select.Trigger {...told(id, note, fault)} className={trigger({ size, wide })}>
          <span className="min-w-0 truncate">
            <Select.Value />
          </span>
          <ChevronDown aria-hidden className="size-4 shrink-0 text-quiet" />
        </Select.Trigger>
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={4}
            collisionPadding={8}
            className="z-50 max-h-(--radix-select-content-available-height) min-w-(--radix-select-trigger-width) overflow-hidden rounded border border-edge bg-sheet shadow-float"
          >
            <Select.Viewport className="p-1">
              {options.map((o) => (
                <Select.Item
                  key={o.value}
                  value={inside(o.value)}
                  className="flex cursor-pointer items-center gap-2 rounded px-2 py-1 text-[15px] outline-none data-[highlighted]:bg-rust-pale data-[state=checked]:font-semibold"
                >
                  <span className="w-4 shrink-0 text-rung">
                    <Select.ItemIndicator>
                      <Check aria-hidden className="size-4" />
                    </Select.ItemIndicator>
                  </span>
                  <Select.ItemText>{o.label}</Select.ItemText>
                </Select.Item>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
    </Frame>
  )
}
