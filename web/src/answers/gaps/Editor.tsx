import { useRef, useState } from 'react'
import { Button } from '@/ui/Button'
import { AreaField, TextField } from '@/ui/Field'
import { Folds } from '@/ui/Folds'
import { Tick } from '@/ui/Tick'
import type { EditorProps } from '../kinds'
import { fieldAnswer, FieldRule } from '../parts/FieldRule'
import { replaced } from '../parts/Lines'
import { firstOf, read, written } from './written'

/** A passage typed as it will be read; what stands in brackets is a gap and its answer. What else a gap takes stands below. */
export default function Editor({ rule, onChange }: EditorProps<'gaps'>) {
  const box = useRef<HTMLTextAreaElement>(null)
  // While it is typed an open bracket is no gap yet, and the cursor stays where it is.
  const [typed, setTyped] = useState<string | null>(null)
  const [further, setFurther] = useState<string | null>(null)
  const text = typed ?? written(rule)
  const take = (next: string) => {
    setTyped(next)
    onChange(read(next, rule))
  }
  const makeGap = () => {
    const area = box.current
    if (!area) return
    const { selectionStart: from, selectionEnd: until } = area
    const words = text.slice(from, until)
    const inner = words.trim()
    if (inner === '' || /[[\]\n]/.test(inner)) return
    const start = from + words.indexOf(inner)
    take(`${text.slice(0, start)}[${inner}]${text.slice(start + inner.length)}`)
    area.focus()
  }
  return (
    <fieldset className="flex flex-col gap-3">
      <legend className="sr-only">A passage with gaps</legend>
      <AreaField
        ref={box}
        label="Passage"
        hideLabel
        inPlace
        className="leading-8"
        note="What stands in [brackets] is a gap, and its answer. Select words and press Ctrl+B, or type the brackets."
        rows={5}
        value={text}
        placeholder="After high water comes the [ebb]. It falls [3.1 m]."
        onChange={(e) => take(e.target.value)}
        onBlur={() => setTyped(null)}
        onKeyDown={(e) => {
          if (!e.ctrlKey || e.key.toLowerCase() !== 'b') return
          e.preventDefault()
          makeGap()
        }}
      />
      <Button size="small" className="self-start" onMouseDown={(e) => e.preventDefault()} onClick={makeGap}>
        Make a gap of the selected words
      </Button>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1 text-[15px]">
        <Tick
          label="Words are dragged from a bank"
          checked={rule.bank !== undefined}
          onChange={(on) => onChange({ passage: rule.passage, gaps: rule.gaps, ...(on ? { bank: [] } : {}) })}
        />
        {rule.bank ? (
          <div className="min-w-60 flex-1">
            <TextField
              label="Further words in the bank"
              hideLabel
              inPlace
              placeholder="further words in the bank, parted by commas"
              value={further ?? rule.bank.join(', ')}
              onChange={(e) => {
                setFurther(e.target.value)
                const words = e.target.value.split(',').map((word) => word.trim())
                onChange({ ...rule, bank: words.filter((word) => word !== '').slice(0, 20) })
              }}
              onBlur={() => setFurther(null)}
            />
          </div>
        ) : null}
      </div>
      <Folds
        label="Gaps"
        parts={rule.gaps.map((gap, i) => ({
          id: gap.id,
          head: `Gap ${i + 1}: ${firstOf(gap) || 'empty'}, ${fieldAnswer(gap.type)}`,
          body: (
            <FieldRule
              of={gap}
              onChange={(next) =>
                onChange({ ...rule, gaps: replaced(rule.gaps, i, { ...gap, rule: next } as typeof gap) })
              }
            />
          ),
        }))}
      />
    </fieldset>
  )
}
