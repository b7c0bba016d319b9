import { Command } from 'cmdk'
import { ChevronsUpDown, Check } from 'lucide-react'
import { Popover } from 'radix-ui'
import { useId, useState } from 'react'
import { holds } from '@/lib/sorting'
import { Frame, told, type Labelled } from './Field'
import type { Option } from './Select'

const row =
  'flex cursor-pointer items-start gap-2 rounded px-2 py-1 text-[15px] aria-disabled:opacity-55 data-[selected=true]:bg-rust-pale'

// Two may be called the same, so that a label is no name; and none of the value's signs are searched.
const keyOf = (option: Option) => option.value || 'none'

/** One of many: a few letters find it. What can be done beside choosing stands below the list. */
export function Combobox({
  label,
  note,
  fault,
  hideLabel,
  options,
  value,
  onChange,
  acts = [],
  find = 'a few letters',
  inPlace = false,
}: Labelled & {
  options: readonly (Option & { aside?: string })[]
  value: string
  onChange: (value: string) => void
  acts?: readonly { label: string; run: () => void }[]
  /** what to type to find one */
  find?: string
  /** without a box, on the sheet */
  inPlace?: boolean
}) {
  const id = useId()
  const [open, setOpen] = useState(false)
  const now = options.find((o) => o.value === value) ?? options.find((o) => o.value === '')
  return (
    <Frame id={id} {...{ label, note, fault, hideLabel }}>
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger asChild>
          <button
            type="button"
            role="combobox"
            aria-expanded={open}
            {...told(id, note, fault)}
            className={`flex w-full items-center gap-2 rounded border text-left hover:border-ink aria-invalid:border-2 aria-invalid:border-bad ${inPlace ? 'min-h-7 border-transparent px-1 text-[15px] text-blue' : 'min-h-[38px] border-edge bg-sheet px-2.5 py-1.5'}`}
          >
            <span className={`min-w-0 flex-1 truncate ${now && now.value !== '' ? '' : 'text-quiet'}`}>
              {now?.label ?? 'choose'}
            </span>
            <ChevronsUpDown aria-hidden className="size-4 shrink-0 text-quiet" />
          </button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="start"
            sideOffset={4}
            collisionPadding={8}
            className="z-50 w-(--radix-popover-trigger-width) min-w-64 rounded border border-edge bg-sheet shadow-float"
          >
            <Command
              label={label}
              defaultValue={now && keyOf(now)}
              loop
              filter={(_, typed, words) => Number(holds((words ?? []).join(' '), typed))}
            >
              <Command.Input
                placeholder={find}
                className="w-full border-b bg-transparent px-3 py-2 text-[15px] outline-none placeholder:text-quiet"
              />
              <Command.List className="max-h-72 overflow-auto p-1">
                <Command.Empty className="px-2 py-1 text-[15px] text-quiet">Nothing fits.</Command.Empty>
                {options.map((o) => (
                  <Command.Item
                    key={o.value}
                    value={keyOf(o)}
                    keywords={[o.label]}
                    onSelect={() => {
                      onChange(o.value)
                      setOpen(false)
                    }}
                    className={row}
                  >
                    <Check
                      aria-hidden
                      className={`mt-0.5 size-4 shrink-0 text-rung ${o.value === value ? '' : 'opacity-0'}`}
                    />
                    <span className="flex-1">{o.label}</span>
                    {o.aside ? <span className="text-sm text-quiet tabular-nums">{o.aside}</span> : null}
                  </Command.Item>
                ))}
                {acts.length > 0 ? (
                  <div className="mt-1 border-t pt-1">
                    {acts.map((act) => (
                      <Command.Item
                        key={act.label}
                        forceMount
                        value={act.label}
                        onSelect={() => {
                          setOpen(false)
                          act.run()
                        }}
                        className={`${row} font-semibold text-blue`}
                      >
                        {act.label}
                      </Command.Item>
                    ))}
                  </div>
                ) : null}
              </Command.List>
            </Command>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </Frame>
  )
}
