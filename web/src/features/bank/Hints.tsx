import { useState } from 'react'
import type { Item } from '@/answers/kinds'
import { hintsOf, withHints, type Hint } from '@/lib/hints'
import { Button } from '@/ui/Button'
import { RichEditor } from '@/ui/RichEditor'
import { SelectField } from '@/ui/Select'

const COSTS = [
  { value: '0', label: 'free' },
  { value: '1/10', label: 'costs a tenth of the marks' },
  { value: '1/4', label: 'costs a quarter of the marks' },
  { value: '1/3', label: 'costs a third of the marks' },
  { value: '1/2', label: 'costs half of the marks' },
  { value: '1', label: 'costs all marks' },
]
const MOST = 5

/** Help in steps, each opened on asking and only after the one before it. */
export function Hints({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const hints = hintsOf(item)
  const [added, setAdded] = useState(-1)
  const set = (next: Hint[]) => onChange({ ...item, ...withHints(next) })
  return (
    <>
      {hints.map((hint, i) => {
        const name = hints.length === 1 ? 'Hint' : `Hint ${i + 1}`
        const known = COSTS.some((c) => c.value === hint.cost)
        return (
          <div key={i} className="w-full text-[15px]">
            <div className="flex flex-wrap items-baseline gap-x-1 text-sm text-quiet">
              <span aria-hidden>{name}, opened on asking,</span>
              <SelectField
                label={`What ${name.toLowerCase()} costs`}
                hideLabel
                size="place"
                wide={false}
                value={hint.cost}
                onChange={(cost) => set(hints.map((h, j) => (i === j ? { ...h, cost } : h)))}
                options={known ? COSTS : [{ value: hint.cost, label: `costs ${hint.cost} of the marks` }, ...COSTS]}
              />
              <Button
                kind="quiet"
                size="small"
                aria-label={`Take ${name.toLowerCase()} out`}
                onClick={() => set(hints.filter((_, j) => i !== j))}
              >
                Take out
              </Button>
            </div>
            <RichEditor
              small
              hideLabel
              inPlace
              focused={added === i}
              label={name}
              placeholder="What helps without telling?"
              value={hint.text}
              onChange={(text) => set(hints.map((h, j) => (i === j ? { ...h, text } : h)))}
            />
          </div>
        )
      })}
      {hints.length < MOST ? (
        <Button
          kind="quiet"
          size="small"
          className="-ml-2"
          onClick={() => {
            setAdded(hints.length)
            set([...hints, { text: '', cost: '0' }])
          }}
        >
          {hints.length === 0 ? 'Add a hint' : 'Add a further hint'}
        </Button>
      ) : null}
    </>
  )
}
