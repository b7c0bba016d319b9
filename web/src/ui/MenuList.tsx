import { DropdownMenu } from 'radix-ui'
import type { ReactNode, RefObject } from 'react'
import type { Act } from './Menu'

const ITEM = 'cursor-pointer rounded px-3 py-1.5 outline-none data-highlighted:bg-rust-pale'

/** The acts of a menu, at its button. */
export function MenuList({
  button,
  labelledBy,
  open,
  onOpen,
  head,
  acts,
  now,
  side,
  align,
}: {
  button: RefObject<HTMLButtonElement | null>
  labelledBy: string
  open: boolean
  onOpen: (open: boolean) => void
  head: ReactNode
  acts: readonly Act[]
  now: string | undefined
  side: 'top' | 'bottom'
  align: 'start' | 'end'
}) {
  return (
    <DropdownMenu.Root modal={false} open={open} onOpenChange={onOpen}>
      <DropdownMenu.Trigger asChild>
        {/* Where the list hangs; the button itself was there before the list was fetched, and keeps its focus. */}
        <span aria-hidden tabIndex={-1} className="pointer-events-none absolute inset-0" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          side={side}
          align={align}
          sideOffset={4}
          aria-labelledby={labelledBy}
          className="z-50 max-h-(--radix-dropdown-menu-content-available-height) max-w-[90vw] min-w-48 overflow-y-auto rounded border border-edge bg-sheet p-1 shadow-float"
          onCloseAutoFocus={(e) => {
            e.preventDefault()
            // An act that has led elsewhere has put the focus there.
            if (document.activeElement === document.body) button.current?.focus()
          }}
          onInteractOutside={(e) => {
            // The button closes it by itself.
            if (button.current?.contains(e.target as Node)) e.preventDefault()
          }}
        >
          {head ? <DropdownMenu.Label className="px-3 py-1.5 text-sm text-quiet">{head}</DropdownMenu.Label> : null}
          {now === undefined ? (
            acts.map((act) => (
              <DropdownMenu.Item key={act.id} className={ITEM} onSelect={act.run}>
                {act.label}
              </DropdownMenu.Item>
            ))
          ) : (
            <DropdownMenu.RadioGroup value={now}>
              {acts.map((act) => (
                <DropdownMenu.RadioItem
                  key={act.id}
                  value={act.id}
                  className={`${ITEM} relative data-[state=checked]:font-bold`}
                  onSelect={act.run}
                >
                  <DropdownMenu.ItemIndicator className="absolute top-1/2 -left-1 h-[7px] w-3 -translate-y-1/2 bg-rung" />
                  {act.label}
                </DropdownMenu.RadioItem>
              ))}
            </DropdownMenu.RadioGroup>
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
