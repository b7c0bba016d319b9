import { memo, useState } from 'react'
import { RuleEditor } from '@/answers/RuleEditor'
import { faultsNamed } from '@/answers/faultNamed'
import type { Item } from '@/answers/kinds'
import { isByHand } from '@/answers/registry'
import { decimal } from '@/lib/format'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { NumberField } from '@/ui/NumberField'
import { RichEditor } from '@/ui/RichEditor'
import { later } from '@/ui/later'
import { CheckLines } from './CheckLines'
import { Hints } from './Hints'

const SourceDialog = later(() => import('./SourceDialog').then((it) => it.SourceDialog))

type Change = Partial<Pick<Item, 'prompt' | 'points' | 'explanation' | 'goBack'>>

const NONE: Record<string, string> = {}

/** A question, written in place on its sheet, as it will be read. */
export const ItemForm = memo(function ItemForm({
  item,
  onChange,
  faults = NONE,
}: {
  item: Item
  onChange: (item: Item) => void
  faults?: Record<string, string>
}) {
  const set = (change: Change) => onChange({ ...item, ...change })
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
      {faultsNamed(faults).map((fault) => (
        <p key={fault} className="text-sm font-semibold text-bad">
          ✕ {fault}
        </p>
      ))}
      <Checks item={item} onChange={onChange} faults={faults} />
      <div className="flex flex-col items-start gap-2">
        <Hints item={item} onChange={onChange} />
        <BackTo page={item.goBack} onChange={(goBack) => set({ goBack })} />
        <Further
          label="Worked explanation, shown on return"
          add="Add a worked explanation"
          value={item.explanation}
          onChange={(explanation) => set({ explanation })}
        />
      </div>
    </div>
  )
})

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

/** A page that students may go back to while they answer: what was read or shown before. */
function BackTo({ page, onChange }: { page: Item['goBack']; onChange: (page: Item['goBack']) => void }) {
  const [choosing, setChoosing] = useState(false)
  if (!page)
    return (
      <div className="flex flex-wrap">
        <Button kind="quiet" size="small" className="-ml-2" onClick={() => onChange({ title: '', text: '' })}>
          Add a page to go back to
        </Button>
        <Button kind="quiet" size="small" onClick={() => setChoosing(true)}>
          Go back to a source …
        </Button>
        {choosing ? <SourceDialog onClose={() => setChoosing(false)} onTake={onChange} /> : null}
      </div>
    )
  return (
    <div className="w-full text-[15px]">
      <div className="flex items-baseline gap-1 text-sm text-quiet">
        <span aria-hidden className="whitespace-nowrap">
          Go back to
        </span>
        <span className="min-w-0 flex-1">
          <TextField
            label="What the page is called"
            hideLabel
            inPlace
            placeholder="the rule of twelfths, lesson 4"
            maxLength={120}
            value={page.title}
            onChange={(e) => onChange({ ...page, title: e.target.value })}
          />
        </span>
        <Button kind="quiet" size="small" aria-label="Take the page out" onClick={() => onChange(undefined)}>
          Take out
        </Button>
      </div>
      <RichEditor
        small
        hideLabel
        inPlace
        label="The page"
        placeholder="What they read or saw then"
        value={page.text}
        onChange={(text) => onChange({ ...page, text })}
      />
    </div>
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
