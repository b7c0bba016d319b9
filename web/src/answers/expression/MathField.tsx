import 'katex/dist/katex.min.css'
import { MathfieldElement } from 'mathlive'
import { useEffect, useRef } from 'react'

const LONGEST = 500

// What it would fetch from elsewhere comes with the application, or is not wanted.
MathfieldElement.fontsDirectory = null
MathfieldElement.soundsDirectory = null

/** What becomes a sign while it is typed; more would surprise, such as a d before an x. */
const SIGNS = {
  sqrt: '\\sqrt{#?}',
  pi: '\\pi',
  '*': '\\cdot',
  '<=': '\\le',
  '>=': '\\ge',
  '!=': '\\ne',
  '+-': '\\pm',
  sin: '\\sin',
  cos: '\\cos',
  tan: '\\tan',
  log: '\\log',
  ln: '\\ln',
}

/**
 * The field takes a moment between being pressed or reached and taking keys. Those typed in between are kept for it: whoever types
 * fast loses none. Returns the end of it.
 */
function keepsEarlyKeys(one: MathfieldElement) {
  const early: string[] = []
  let coming = false
  const begin = () => {
    coming = !one.hasFocus()
  }
  const key = (event: KeyboardEvent) => {
    if (!coming || event.key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey) return
    early.push(event.key)
    event.preventDefault()
    event.stopPropagation()
  }
  const here = () => {
    coming = false
    for (const typed of early.splice(0)) one.executeCommand(['typedText', typed])
  }
  one.addEventListener('pointerdown', begin, true)
  one.addEventListener('focusin', begin, true)
  one.addEventListener('focus', here)
  one.addEventListener('blur', () => (coming = false))
  document.addEventListener('keydown', key, true)
  return () => document.removeEventListener('keydown', key, true)
}

export type MathFieldProps = {
  label: string
  text: string
  onChange: (text: string) => void
  disabled: boolean
}

/** Maths typed as it is written by hand, set as it is typed; what it says is kept as a line, such as (x+1)/(x-2). */
export default function MathField({ label, text, onChange, disabled }: MathFieldProps) {
  const host = useRef<HTMLSpanElement>(null)
  const field = useRef<MathfieldElement | null>(null)
  const latest = useRef({ text, onChange })
  useEffect(() => {
    latest.current = { text, onChange }
  })
  useEffect(() => {
    const one = new MathfieldElement()
    one.setAttribute('aria-label', label)
    host.current?.append(one)
    one.menuItems = []
    one.inlineShortcuts = SIGNS
    const end = keepsEarlyKeys(one)
    one.setValue(latest.current.text, { format: 'ascii-math', silenceNotifications: true })
    const typed = () => {
      const said = one.getValue('ascii-math').slice(0, LONGEST)
      if (said !== latest.current.text) latest.current.onChange(said)
    }
    one.addEventListener('input', typed)
    field.current = one
    return () => {
      end()
      one.removeEventListener('input', typed)
      one.remove()
      field.current = null
    }
  }, [label])
  useEffect(() => {
    const one = field.current
    if (!one) return
    one.readOnly = disabled
    // Only what comes from outside is put in; one's own typing is already there.
    if (!one.hasFocus() && one.getValue('ascii-math') !== text)
      one.setValue(text, { format: 'ascii-math', silenceNotifications: true })
  }, [text, disabled])
  return <span ref={host} className="maths-field" />
}
