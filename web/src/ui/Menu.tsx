import { useId, useRef, useState, type ReactNode } from 'react'
import { useQuiet } from '@/lib/quiet'
import { Button } from './Button'
import { later } from './later'

const MenuList = later(() => import('./MenuList').then((it) => it.MenuList))

export type Act = { id: string; label: ReactNode; run: () => void }

/**
 * A button that opens a list of acts. The list is fetched once the page has come to rest, or when it is asked for. `open` and
 * `onOpen` where a key opens it too.
 */
export function Menu({
  face,
  label,
  head,
  acts,
  now,
  kind,
  size,
  hint,
  className,
  side = 'bottom',
  align = 'end',
  open: opened,
  onOpen,
}: {
  face: ReactNode
  /** where the face alone does not name the button */
  label?: string
  /** what stands above the acts */
  head?: ReactNode
  acts: readonly Act[]
  /** which of them one is at, where they are places rather than acts */
  now?: string
  kind?: 'do' | 'quiet'
  size?: 'small'
  hint?: string
  className?: string
  side?: 'top' | 'bottom'
  align?: 'start' | 'end'
  open?: boolean
  onOpen?: (open: boolean) => void
}) {
  const id = useId()
  const button = useRef<HTMLButtonElement>(null)
  const [own, setOwn] = useState(false)
  const open = opened ?? own
  const setOpen = onOpen ?? setOwn
  const quiet = useQuiet()
  return (
    <span className="relative inline-flex">
      <Button
        ref={button}
        id={id}
        kind={kind}
        size={size}
        hint={hint}
        className={className}
        aria-label={label}
        aria-haspopup="menu"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        onKeyDown={(e) => {
          if (e.key !== 'ArrowDown') return
          e.preventDefault()
          setOpen(true)
        }}
      >
        {face}
      </Button>
      {quiet || open ? (
        <MenuList
          button={button}
          labelledBy={id}
          open={open}
          onOpen={setOpen}
          head={head}
          acts={acts}
          now={now}
          side={side}
          align={align}
        />
      ) : null}
    </span>
  )
}
