import { useState, type RefObject } from 'react'
import { Button } from '@/ui/Button'

const SIGNS = [
  ['²', 'squared'],
  ['³', 'cubed'],
  ['√', 'root'],
  ['π', 'pi'],
  ['×', 'times'],
  ['÷', 'divided by'],
  ['−', 'minus'],
  ['±', 'plus or minus'],
  ['°', 'degrees'],
  ['≤', 'at most'],
  ['≥', 'at least'],
  ['½', 'a half'],
  ['¼', 'a quarter'],
  ['é', 'e with an acute accent'],
  ['ü', 'u with two dots'],
] as const

/** Signs that a keyboard does not have, put where the cursor stands. */
export function Signs({
  field,
  onPut,
}: {
  field: RefObject<HTMLInputElement | HTMLTextAreaElement | null>
  /** the text as it is then */
  onPut: (text: string) => void
}) {
  const [open, setOpen] = useState(false)
  const put = (sign: string) => {
    const one = field.current
    if (!one) return
    const from = one.selectionStart ?? one.value.length
    const text = one.value.slice(0, from) + sign + one.value.slice(one.selectionEnd ?? from)
    onPut(text)
    requestAnimationFrame(() => {
      one.focus()
      one.setSelectionRange(from + sign.length, from + sign.length)
    })
  }
  return (
    <div className="flex flex-wrap items-center gap-1">
      <Button kind="quiet" size="small" className="-ml-2" aria-expanded={open} onClick={() => setOpen(!open)}>
        Signs ² √ π
      </Button>
      {open
        ? SIGNS.map(([sign, name]) => (
            <Button key={sign} aria-label={name} className="min-h-11 min-w-11" onClick={() => put(sign)}>
              {sign}
            </Button>
          ))
        : null}
    </div>
  )
}
