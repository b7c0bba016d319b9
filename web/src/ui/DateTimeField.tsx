import { CalendarDays } from 'lucide-react'
import { Popover } from 'radix-ui'
import { lazy, Suspense, useId, useRef, useState } from 'react'
import { readMoment, writeMoment } from '@/lib/locale'
import { Frame, told, type Labelled } from './Field'

const Calendar = lazy(() => import('./Calendar'))

const UNREAD = 'This is not a day and a time: such as 27 Nov 15:30, or tomorrow 15:30.'

/**
 * A moment, typed as people say it or picked from a calendar. It holds local time to the minute, '' for none; what cannot
 * be read stays as it was typed, says so, and keeps its form from being sent. The browser's own field is not used: it
 * writes the month first where the browser, not the teacher, is American.
 */
export function DateTimeField({
  label,
  note,
  fault,
  hideLabel,
  value,
  onChange,
}: Labelled & { value: string; onChange: (local: string) => void }) {
  const id = useId()
  const input = useRef<HTMLInputElement>(null)
  const [typed, setTyped] = useState<string | null>(null)
  const [open, setOpen] = useState(false)
  const read = typed === null ? null : readMoment(typed, new Date())
  const unread = typed !== null && read === null
  // Said while it is typed; at rest the field itself says it.
  const reading = read ? writeMoment(read) : ''
  const shown = typed ?? writeMoment(value)
  const take = (text: string) => {
    const local = readMoment(text, new Date())
    setTyped(text)
    input.current?.setCustomValidity(local === null ? UNREAD : '')
    if (local !== null) onChange(local)
  }
  return (
    <Frame
      id={id}
      label={label}
      hideLabel={hideLabel}
      note={
        reading ? (
          <>
            <b>{reading}</b> {note}
          </>
        ) : (
          note
        )
      }
      fault={unread ? UNREAD : fault}
    >
      <div className="flex gap-1">
        <input
          ref={input}
          {...told(id, note, unread || fault)}
          className="field"
          autoComplete="off"
          placeholder="tomorrow 15:30"
          value={shown}
          onChange={(e) => take(e.target.value)}
          onBlur={() => !unread && setTyped(null)}
        />
        <Popover.Root open={open} onOpenChange={setOpen}>
          <Popover.Trigger
            aria-label={`${label}: pick a day`}
            className="flex w-10 shrink-0 items-center justify-center rounded border border-edge bg-sheet hover:border-ink"
          >
            <CalendarDays aria-hidden className="size-4" />
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content
              align="end"
              sideOffset={4}
              collisionPadding={8}
              className="z-60 rounded border border-edge bg-sheet p-3 shadow-float"
            >
              <Suspense fallback={<p className="p-4 text-quiet">…</p>}>
                <Calendar
                  value={value}
                  onPick={(local) => {
                    input.current?.setCustomValidity('')
                    setTyped(null)
                    onChange(local)
                    setOpen(false)
                  }}
                />
              </Suspense>
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      </div>
    </Frame>
  )
}
