import { useRef, useState } from 'react'
import { Button } from '@/ui/Button'
import { AreaField } from '@/ui/Field'
import { Fold } from '@/ui/Fold'
import type { EditorProps } from '../kinds'
import { fieldAnswer, FieldRule } from '../parts/FieldRule'
import { replaced } from '../parts/Lines'
import { firstOf, read, written } from './written'

/** A passage typed as it will be read; what stands in brackets is a gap and its answer. What else a gap takes stands below. */
export default function Editor({ rule, onChange }: EditorProps<'gaps'>) {
  const box = useRef<HTMLTextAreaElement>(null)
  // While it is typed an open bracket is no gap yet, and the cursor stays where it is.
  const [typed, setTyped] = useState<string | null>(null)
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
      {rule.gaps.map((gap, i) => (
        <Fold key={gap.id} label={`Gap ${i + 1}: ${firstOf(gap) || 'empty'}, ${fieldAnswer(gap.type)}`}>
          <FieldRule
            of={gap}
            onChange={(next) =>
              onChange({ ...rule, gaps: replaced(rule.gaps, i, { ...gap, rule: next } as typeof gap) })
            }
          />
        </Fold>
      ))}
    </fieldset>
  )
}
