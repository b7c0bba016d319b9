import { useRef, useState } from 'react'
import { unsaved, keepUnsaved } from '@/lib/drafts/device'
import { calculate } from './calculate'

const KEYS = ['7', '8', '9', '÷', '(', '4', '5', '6', '×', ')', '1', '2', '3', '−', '^', '0', '.', 'π', '+', '√']
const MORE = ['sin', 'cos', 'tan']
const NAMES: Record<string, string> = {
  '÷': 'divided by',
  '×': 'times',
  '−': 'minus',
  '+': 'plus',
  '^': 'to the power of',
  '√': 'square root of',
  π: 'pi',
  '.': 'decimal point',
  '(': 'open bracket',
  ')': 'close bracket',
}
/** What is typed for the signs that keyboards lack. */
const TYPED: Record<string, string> = { '*': '×', '/': '÷', '-': '−' }
const KEPT = 4

/** A sum is typed or pressed as it is written, and what it comes to stands beside it. */
export function Calculator({ place }: { place: string }) {
  const [sum, setSum] = useState('')
  const [done, setDone] = useState(() => unsaved<string[]>(place) ?? [])
  const field = useRef<HTMLInputElement>(null)
  const result = calculate(sum)
  const put = (sign: string) => {
    const input = field.current
    const [from, to] = [input?.selectionStart ?? sum.length, input?.selectionEnd ?? sum.length]
    const next = sum.slice(0, from) + sign + sum.slice(to)
    setSum(next)
    requestAnimationFrame(() => input?.setSelectionRange(from + sign.length, from + sign.length))
  }
  const enter = () => {
    if (!result || !('value' in result)) return
    const next = [...done, `${sum.trim()} = ${result.value}`].slice(-KEPT)
    setDone(next)
    keepUnsaved(place, next)
    setSum(result.value.replace('-', '−'))
  }
  const key = 'min-h-11 rounded border border-edge bg-sheet text-[18px] hover:border-ink'
  return (
    <div className="flex w-full max-w-80 flex-col gap-2">
      <ol aria-label="Sums before" className="text-right text-[15px] text-quiet tabular-nums">
        {done.map((line, i) => (
          <li key={`${i} ${line}`}>{line}</li>
        ))}
      </ol>
      <input
        ref={field}
        className="field text-right font-mono text-[18px]"
        aria-label="Sum"
        autoComplete="off"
        spellCheck={false}
        value={sum}
        onChange={(e) => setSum(e.target.value.replace(/[*/-]/g, (sign) => TYPED[sign] ?? sign))}
        onKeyDown={(e) => {
          if (e.key === 'Enter' || e.key === '=') {
            e.preventDefault()
            enter()
          }
        }}
      />
      <output className="min-h-7 text-right font-mono text-[18px]">
        {result === null ? (
          ''
        ) : 'value' in result ? (
          `= ${result.value}`
        ) : (
          <span className="font-sans text-[15px] text-quiet">{result.fault}</span>
        )}
      </output>
      <div className="grid grid-cols-5 gap-1">
        {KEYS.map((sign) => (
          <button key={sign} type="button" className={key} aria-label={NAMES[sign]} onClick={() => put(sign)}>
            {sign}
          </button>
        ))}
        {MORE.map((name) => (
          <button key={name} type="button" className={`${key} text-[15px]`} onClick={() => put(`${name}(`)}>
            {name}
          </button>
        ))}
        <button
          type="button"
          className={`${key} text-[15px]`}
          aria-label="Rub out"
          onClick={() => setSum(sum.slice(0, -1))}
        >
          ⌫
        </button>
        <button type="button" className={`${key} border-ink font-semibold`} aria-label="Equals" onClick={enter}>
          =
        </button>
      </div>
      <p className="text-[14px] text-quiet">Angles are in degrees.</p>
    </div>
  )
}
