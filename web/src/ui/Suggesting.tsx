import { useEffect, useId, useRef, useState, type KeyboardEvent, type ReactNode } from 'react'
import { suggested, taken, type Name } from '@/lib/suggest'

/** Puts a text into a field as if it had been typed. */
function typeInto(field: HTMLInputElement, text: string, caret: number) {
  // The field's owner hears of it as of any key.
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, text)
  field.dispatchEvent(new Event('input', { bubbles: true }))
  field.setSelectionRange(caret, caret)
}

/**
 * A field of one line that offers names while one types: an arrow goes into the list, Enter takes what is marked there, Escape puts it
 * away; all other keys do what they do without it. `only` where what is typed is no formula at times.
 */
export function Suggesting({
  names,
  only = () => true,
  children,
}: {
  names: readonly Name[]
  only?: (text: string) => boolean
  children: ReactNode
}) {
  const id = useId()
  const host = useRef<HTMLDivElement>(null)
  const [list, setList] = useState<ReturnType<typeof suggested> | null>(null)
  const [marked, setMarked] = useState(-1)
  const options = list?.options ?? []
  const open = options.length > 0
  const field = () => host.current?.querySelector('input') ?? null
  useEffect(() => {
    const one = host.current?.querySelector('input')
    if (!one) return
    one.setAttribute('role', 'combobox')
    one.setAttribute('aria-autocomplete', 'list')
    one.setAttribute('aria-expanded', String(open))
    if (open) one.setAttribute('aria-controls', id)
    else one.removeAttribute('aria-controls')
    if (open && marked >= 0) one.setAttribute('aria-activedescendant', `${id}-${marked}`)
    else one.removeAttribute('aria-activedescendant')
  }, [open, marked, id])
  const close = () => {
    setList(null)
    setMarked(-1)
  }
  const look = () => {
    const one = field()
    setMarked(-1)
    setList(one && only(one.value) ? suggested(one.value, one.selectionStart ?? one.value.length, names) : null)
  }
  const take = (name: Name) => {
    const one = field()
    if (!one || !list) return
    const put = taken(one.value, list.from, one.selectionStart ?? one.value.length, name)
    close()
    // After this key has been dealt with, as the next one typed.
    queueMicrotask(() => {
      typeInto(one, put.text, put.caret)
      one.focus()
    })
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (!open) return
    const here = options[marked]
    if (event.key === 'ArrowDown') setMarked((marked + 1) % options.length)
    else if (event.key === 'ArrowUp') setMarked(marked <= 0 ? options.length - 1 : marked - 1)
    else if (event.key === 'Enter' && here) take(here)
    else if (event.key === 'Escape') close()
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  return (
    <div ref={host} className="relative" onInput={look} onKeyDownCapture={onKeyDown} onBlur={close}>
      {children}
      {open ? (
        <ul
          id={id}
          role="listbox"
          aria-label="Names that fit"
          className="absolute top-full left-0 z-20 w-max max-w-xs rounded border border-edge bg-sheet p-1 text-sm shadow-float"
        >
          {options.map((name, i) => (
            <li
              key={name.name}
              id={`${id}-${i}`}
              role="option"
              aria-selected={i === marked}
              className={`flex cursor-pointer gap-3 rounded-[3px] px-2 py-0.5 ${i === marked ? 'bg-rust-pale' : 'hover:bg-pale'}`}
              // The caret stays in the field.
              onMouseDown={(e) => {
                e.preventDefault()
                take(name)
              }}
            >
              <b className="font-mono">{name.name}</b>
              <span className="text-quiet">{name.says}</span>
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  )
}
