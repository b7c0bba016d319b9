import { Plus, X } from 'lucide-react'
import { useState, type ReactNode } from 'react'
import {
  askedOf,
  conditionOf,
  firstPart,
  howSaid,
  howsOf,
  partsOf,
  percentOf,
  shareOf,
  type Asked,
  type ConditionPart,
} from '@/lib/condition'
import { Button } from './Button'
import { TextField } from './Field'
import { SelectField } from './Select'
import { Tip } from './Tip'

/**
 * A condition put together from parts, or typed: the same text either way. What says more than parts can is typed, and nothing of it
 * is lost by looking at it.
 */
export function ConditionField({
  label,
  value,
  known,
  onChange,
  fault,
  children,
}: {
  /** as a label goes on: “check 1” */
  label: string
  value: string
  known: readonly Asked[]
  onChange: (condition: string) => void
  fault?: string
  /** where it is typed */
  children: ReactNode
}) {
  // As it is being typed, spaces and all, as long as it says what is there.
  const [held, setHeld] = useState<ConditionPart[]>([])
  const parts = held.length > 0 && conditionOf(held, known) === value ? held : partsOf(value, known)
  const [typing, setTyping] = useState(parts === null)
  if (parts === null || typing)
    return (
      <div className="flex flex-wrap items-start gap-x-2">
        <div className="min-w-48 flex-1">{children}</div>
        {parts ? (
          <Button
            kind="quiet"
            size="small"
            aria-label={`Put ${label} together from parts`}
            onClick={() => setTyping(false)}
          >
            from parts
          </Button>
        ) : null}
      </div>
    )
  const set = (next: ConditionPart[]) => {
    setHeld(next)
    onChange(conditionOf(next, known))
  }
  return (
    <div role="group" aria-label={`Parts of ${label}`} className="flex flex-col gap-1">
      {parts.map((part, i) => (
        <PartRow
          key={i}
          what={parts.length > 1 ? `${label}, part ${i + 1}` : label}
          part={part}
          known={known}
          first={i === 0}
          onChange={(next) => set(parts.map((old, j) => (j === i ? next : old)))}
          onRemove={parts.length > 1 ? () => set(parts.filter((_, j) => j !== i)) : undefined}
        />
      ))}
      {fault ? <p className="text-sm font-semibold text-bad">✕ {fault}</p> : null}
      <div className="flex gap-1">
        <Button
          kind="quiet"
          size="small"
          className="-ml-2"
          aria-label={`Add a part to ${label}`}
          onClick={() => known[0] && set([...parts, firstPart(known[0])])}
        >
          <Plus aria-hidden className="size-4" /> and
        </Button>
        <Button kind="quiet" size="small" aria-label={`Type ${label}`} onClick={() => setTyping(true)}>
          type it
        </Button>
      </div>
    </div>
  )
}

function PartRow({
  what,
  part,
  known,
  first,
  onChange,
  onRemove,
}: {
  what: string
  part: ConditionPart
  known: readonly Asked[]
  first: boolean
  onChange: (part: ConditionPart) => void
  onRemove: (() => void) | undefined
}) {
  const of = known.find(({ name }) => name === part.name)
  if (!of) return null
  return (
    <div className="flex flex-wrap items-center gap-x-1">
      {first ? null : <span className="text-quiet">and</span>}
      <SelectField
        label={`Of what, ${what}`}
        hideLabel
        size="place"
        wide={false}
        value={part.name}
        options={known.map(({ name, says }) => ({ value: name, label: says }))}
        onChange={(name) => {
          const next = known.find((one) => one.name === name)
          if (next) onChange(askedOf(part, next, known))
        }}
      />
      <SelectField
        label={`How, ${what}`}
        hideLabel
        size="place"
        wide={false}
        value={part.how}
        options={howsOf(of).map((how) => ({ value: how, label: howSaid(of, how) }))}
        onChange={(how) => onChange({ ...part, how, ...(how === 'within' ? { near: part.near ?? '0.05' } : {}) })}
      />
      {of.kind === 'one of' ? (
        <SelectField
          label={`What, ${what}`}
          hideLabel
          size="place"
          wide={false}
          value={part.value}
          options={of.values ?? []}
          onChange={(value) => onChange({ ...part, value })}
        />
      ) : (
        <span className={of.kind === 'words' ? 'w-40' : of.kind === 'share' ? 'w-12' : 'w-18'}>
          <TextField
            label={`What, ${what}`}
            hideLabel
            inPlace
            className="font-mono text-[15px]"
            maxLength={200}
            value={of.kind === 'share' ? percentOf(part.value).replace(/ %$/, '') : part.value}
            onChange={(e) =>
              onChange({ ...part, value: of.kind === 'share' ? shareOf(e.target.value) : e.target.value })
            }
          />
        </span>
      )}
      {of.kind === 'share' ? <span className="text-quiet">%</span> : null}
      {part.how === 'within' ? (
        <>
          <span className="text-quiet">±</span>
          <span className="w-16">
            <TextField
              label={`How near, ${what}`}
              hideLabel
              inPlace
              className="font-mono text-[15px]"
              maxLength={50}
              value={part.near ?? ''}
              onChange={(e) => onChange({ ...part, near: e.target.value })}
            />
          </span>
        </>
      ) : null}
      {onRemove ? (
        <Tip says="Remove">
          <button
            type="button"
            aria-label={`Remove ${what}`}
            className="flex size-7 items-center justify-center rounded text-quiet hover:bg-rust-pale hover:text-ink"
            onClick={onRemove}
          >
            <X aria-hidden className="size-4" />
          </button>
        </Tip>
      ) : null}
    </div>
  )
}
