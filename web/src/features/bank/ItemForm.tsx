import { useState } from 'react'
import { RuleEditor } from '@/answers/RuleEditor'
import type { Item } from '@/answers/kinds'
import { isByHand } from '@/answers/registry'
import { decimal } from '@/lib/format'
import { Button } from '@/ui/Button'
import { NumberField } from '@/ui/NumberField'
import { RichEditor } from '@/ui/RichEditor'
import { CheckLines } from './CheckLines'

type Change = Partial<Pick<Item, 'prompt' | 'points' | 'hint' | 'explanation'>>

/** A question, written in place on its sheet, as it will be read. */
export function ItemForm({
  item,
  onChange,
  faults = {},
}: {
  item: Item
  onChange: (item: Item) => void
  faults?: Record<string, string>
}) {
  const set = (change: Change) => onChange({ ...item, ...change })
  const ruleFaults = Object.entries(faults).filter(([path]) => path.startsWith('rule'))
  return (
    <div className="flex flex-col gap-4">
      <div className="flex items-start gap-6">
        <div className="min-w-0 flex-1">
          <RichEditor
            label="Prompt"
            hideLabel
            inPlace
            placeholder="What is asked?"
            value={item.prompt}
            onChange={(prompt) => set({ prompt })}
          />
          {faults.prompt ? <p className="text-sm font-semibold text-bad">✕ {faults.prompt}</p> : null}
        </div>
        <div className="flex items-baseline gap-1 text-quiet">
          <span className="w-12">
            <NumberField
              label="Marks"
              hideLabel
              inPlace
              className="text-right"
              value={item.points}
              onChange={(points) => set({ points })}
              fault={faults.points}
            />
          </span>
          <span aria-hidden>{decimal(item.points) === '1' ? 'mark' : 'marks'}</span>
        </div>
      </div>
      <RuleEditor item={item} onChange={onChange} />
      {ruleFaults.map(([path, message]) => (
        <p key={path} className="text-sm font-semibold text-bad">
          ✕{' '}
          {path
            .replace(/^rule\.?/, '')
            .replace(/(\w+)\.(\d+)/, (_, what: string, n: string) => `${what.replace(/s$/, '')} ${Number(n) + 1}`)}
          : {message}
        </p>
      ))}
      <Checks item={item} onChange={onChange} faults={faults} />
      <div className="flex flex-col items-start gap-2">
        <Further label="Hint, opened on asking" add="Add a hint" value={item.hint} onChange={(hint) => set({ hint })} />
        <Further
          label="Worked explanation, shown on return"
          add="Add a worked explanation"
          value={item.explanation}
          onChange={(explanation) => set({ explanation })}
        />
      </div>
    </div>
  )
}

/** Checks, there once they are asked for; what a person marks has none. */
function Checks(props: { item: Item; onChange: (item: Item) => void; faults: Record<string, string> }) {
  const [open, setOpen] = useState(false)
  const any = (props.item.checks ?? []).length > 0
  if (isByHand(props.item.type) && !any) return null
  return any || open ? (
    <CheckLines {...props} />
  ) : (
    <Button kind="quiet" size="small" className="-ml-2 self-start" onClick={() => setOpen(true)}>
      Add a check
    </Button>
  )
}

/** What a question may have below it: there once it is asked for. */
function Further({
  label,
  add,
  value,
  onChange,
}: {
  label: string
  add: string
  value: string
  onChange: (html: string) => void
}) {
  const [open, setOpen] = useState(false)
  if (value === '' && !open)
    return (
      <Button kind="quiet" size="small" className="-ml-2" onClick={() => setOpen(true)}>
        {add}
      </Button>
    )
  return (
    <div className="w-full text-[15px]">
      <p aria-hidden className="text-sm text-quiet">
        {label}
      </p>
      <RichEditor small hideLabel inPlace focused={open} label={label} value={value} onChange={onChange} />
    </div>
  )
}
