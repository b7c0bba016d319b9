import { ArrowUp, X } from 'lucide-react'
import { useState, type ReactNode } from 'react'
import { asHtml, isRich, saidBriefly, saidHtml } from '@/lib/said'
import { TextField } from '@/ui/Field'
import { RichEditor } from '@/ui/RichEditor'
import { SelectField } from '@/ui/Select'
import { TermSelect } from '@/ui/TermSelect'
import { Tip } from '@/ui/Tip'

export const replaced = <T,>(list: T[], i: number, next: T) => list.map((old, j) => (j === i ? next : old))
export const without = <T,>(list: T[], i: number) => list.filter((_, j) => j !== i)
export const moved = <T,>(list: T[], i: number, by: number) => {
  const next = [...list]
  const [one] = next.splice(i, 1)
  if (one !== undefined) next.splice(Math.max(0, Math.min(next.length, i + by)), 0, one)
  return next
}

/** What a document that was written by hand or by a program may leave out of a line. */
export const UNSAID = { feedback: '', misconception: null }
export const LEFT_OUT = { credit: '1', ...UNSAID }

/** The wrong idea that a line follows from, at the end of the line. */
export function Idea({
  what,
  misconception,
  onMisconception,
}: {
  what: string
  misconception: string | null
  onMisconception: (id: string | null) => void
}) {
  return (
    <div className="w-52 max-w-full">
      <TermSelect
        kind="misconceptions"
        label={`Misconception behind ${what}`}
        hideLabel
        inPlace
        value={misconception}
        onChange={onMisconception}
      />
    </div>
  )
}

/** What a student is told who gives this, below the line: plain words, or with maths, a picture, a link. */
export function Feedback({
  what,
  feedback,
  onFeedback,
}: {
  what: string
  feedback: string
  onFeedback: (text: string) => void
}) {
  const [asRich, setAsRich] = useState(false)
  const label = `Feedback for ${what}`
  const placeholder = 'what a student is told who gives this'
  if (asRich || isRich(feedback))
    return (
      <div className="text-[15px] text-quiet italic">
        <RichEditor
          small
          hideLabel
          inPlace
          label={label}
          placeholder={placeholder}
          value={saidHtml(feedback)}
          onChange={(html) => onFeedback(saidBriefly(html))}
          focused={asRich}
        />
      </div>
    )
  return (
    <div className="group/said relative">
      <TextField
        label={label}
        hideLabel
        inPlace
        className="text-[15px] text-quiet italic"
        placeholder={placeholder}
        value={feedback}
        onChange={(e) => onFeedback(e.target.value)}
      />
      <Tip says="With maths, a picture, a link">
        <button
          type="button"
          aria-label={`Maths, a picture or a link for ${what}`}
          className="invisible absolute top-0.5 right-0 size-6 rounded bg-sheet text-sm text-quiet group-focus-within/said:visible group-hover/said:visible hover:bg-rust-pale hover:text-ink"
          onClick={() => setAsRich(true)}
        >
          ∑
        </button>
      </Tip>
    </div>
  )
}

/** Both, below a line that is full. */
export function Meaning({
  what,
  line,
  set,
}: {
  what: string
  line: { feedback: string; misconception: string | null }
  set: (change: { feedback: string } | { misconception: string | null }) => void
}) {
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <div className="min-w-48 flex-1">
        <Feedback what={what} feedback={line.feedback} onFeedback={(feedback) => set({ feedback })} />
      </div>
      <Idea
        what={what}
        misconception={line.misconception}
        onMisconception={(misconception) => set({ misconception })}
      />
    </div>
  )
}

/** One line of an answer rule on the sheet: its mark at the left, what can be done with it at the right. */
export function Line({
  what,
  mark,
  onUp,
  onRemove,
  children,
}: {
  what: string
  mark: ReactNode
  onUp?: () => void
  onRemove?: () => void
  children: ReactNode
}) {
  return (
    <div className="grid grid-cols-[auto_1fr_auto] items-start gap-x-3 border-b py-2.5 first:border-t focus-within:bg-pale">
      {mark}
      <div className="flex min-w-0 flex-col gap-0.5">{children}</div>
      <div className="flex gap-0.5 pt-0.5">
        {onUp ? (
          <Tip says="Up">
            <button type="button" aria-label={`Move ${what} up`} className={tool} onClick={onUp}>
              <ArrowUp aria-hidden className="size-4" />
            </button>
          </Tip>
        ) : null}
        {onRemove ? (
          <Tip says="Remove">
            <button type="button" aria-label={`Remove ${what}`} className={tool} onClick={onRemove}>
              <X aria-hidden className="size-4" />
            </button>
          </Tip>
        ) : null}
      </div>
    </div>
  )
}
const tool = 'flex size-7 items-center justify-center rounded text-quiet hover:bg-rust-pale hover:text-ink'

/**
 * Where the next line is typed: Enter takes it, leaving takes it too, and a pasted list becomes as many lines. Nothing
 * typed is lost.
 */
export function NextLine({
  label,
  mark,
  placeholder,
  onLines,
}: {
  label: string
  mark: ReactNode
  placeholder: string
  onLines: (lines: string[]) => void
}) {
  const [text, setText] = useState('')
  const take = (typed: string) => {
    const lines = listed(typed)
    setText('')
    if (lines.length > 0) onLines(lines)
  }
  return (
    <Line what={label} mark={mark}>
      <TextField
        label={label}
        hideLabel
        inPlace
        placeholder={placeholder}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' || e.nativeEvent.isComposing) return
          e.preventDefault()
          take(text)
        }}
        onBlur={() => take(text)}
        onPaste={(e) => {
          const pasted = e.clipboardData.getData('text/plain')
          if (listed(pasted).length < 2) return
          e.preventDefault()
          take(text + pasted)
        }}
      />
    </Line>
  )
}

/** The lines of a list as people write one: without bullets, numbers or letters in front. */
export const listed = (text: string) =>
  text
    .split(/\r?\n|\t/)
    .map((line) => line.replace(/^\s*(?:[-*•·–]\s+|\(?(?:\d{1,2}|[A-Za-z])[.)]\s+)/, '').trim())
    .filter((line) => line !== '')

/** A list pasted into an empty line: it fills this one and the empty ones below, then the others follow in order. */
export function listedFrom<T extends { text: string }>(
  lines: readonly T[],
  at: number,
  words: string,
  more: (lines: readonly T[], words: readonly string[]) => T[],
): { lines: T[]; stays: string } | null {
  const wanted = listed(words)
  const [first] = wanted
  if (first === undefined || wanted.length < 2) return null
  let next = 0
  const full = lines.map((line, i) => {
    const words = i >= at && line.text === '' ? wanted[next] : undefined
    if (words === undefined) return line
    next += 1
    return { ...line, text: asHtml(words) }
  })
  return { lines: more(full, wanted.slice(next)), stays: asHtml(first) }
}

export function Credit({ value, onChange, what }: { value: string; onChange: (credit: string) => void; what: string }) {
  const known = ['1', '3/4', '1/2', '1/4', '0']
  return (
    <SelectField
      label={`Credit of ${what}`}
      hideLabel
      size="place"
      value={value}
      onChange={onChange}
      options={(known.includes(value) ? known : [value, ...known]).map((credit) => ({
        value: credit,
        label: credit === '1' ? 'full credit' : credit === '0' ? 'no credit' : `credit ${credit}`,
      }))}
      wide={false}
    />
  )
}
