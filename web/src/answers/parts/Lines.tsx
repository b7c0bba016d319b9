import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { TermSelect } from '@/ui/TermSelect'

export const replaced = <T,>(list: T[], i: number, next: T) => list.map((old, j) => (j === i ? next : old))
export const without = <T,>(list: T[], i: number) => list.filter((_, j) => j !== i)
export const moved = <T,>(list: T[], i: number, by: number) => {
  const next = [...list]
  const [one] = next.splice(i, 1)
  if (one !== undefined) next.splice(Math.max(0, Math.min(next.length, i + by)), 0, one)
  return next
}

/** Feedback and misconception of one line. */
export function Meaning({
  feedback,
  misconception,
  onFeedback,
  onMisconception,
  what,
}: {
  feedback: string
  misconception: string | null
  onFeedback: (text: string) => void
  onMisconception: (id: string | null) => void
  what: string
}) {
  return (
    <div className="grid gap-2 sm:grid-cols-2">
      <TextField
        label={`Feedback for ${what}`}
        hideLabel
        placeholder="Feedback to the student"
        value={feedback}
        onChange={(e) => onFeedback(e.target.value)}
      />
      <TermSelect
        kind="misconceptions"
        label={`Misconception behind ${what}`}
        hideLabel
        value={misconception}
        onChange={onMisconception}
      />
    </div>
  )
}

export function LineTools({ what, onUp, onRemove }: { what: string; onUp?: () => void; onRemove: () => void }) {
  return (
    <div className="flex flex-col items-end gap-1">
      <Button kind="quiet" size="small" onClick={onRemove} aria-label={`Remove ${what}`}>
        Remove
      </Button>
      {onUp ? (
        <Button kind="quiet" size="small" onClick={onUp} aria-label={`Move ${what} up`}>
          Up
        </Button>
      ) : null}
    </div>
  )
}

export function Credit({ value, onChange, what }: { value: string; onChange: (credit: string) => void; what: string }) {
  const known = ['1', '3/4', '1/2', '1/4', '0']
  return (
    <SelectField
      label={`Credit of ${what}`}
      hideLabel
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
