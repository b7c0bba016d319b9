import { Thing, THINGS } from '@/ui/Thing'
import { Button } from '@/ui/Button'

const LENGTH = 3

/** Three pictures, pressed in their order, as on the slip. */
export function PicturePad({
  value,
  fault,
  onChange,
}: {
  value: string[]
  fault?: string | undefined
  onChange: (next: string[]) => void
}) {
  return (
    <div role="group" aria-label="Your three pictures, in their order" className="flex flex-col gap-3">
      <div className="flex items-center gap-2" aria-live="polite">
        {Array.from({ length: LENGTH }, (_, i) => (
          <span key={i} className="flex size-16 items-center justify-center rounded border-2 border-edge bg-sheet">
            {value[i] ? <Thing name={value[i]} size={44} /> : <span className="text-quiet">{i + 1}</span>}
          </span>
        ))}
        <Button className="min-h-12" disabled={value.length === 0} onClick={() => onChange(value.slice(0, -1))}>
          Back
        </Button>
      </div>
      {fault ? <p className="font-semibold text-bad">{fault}</p> : null}
      <div className="grid grid-cols-4 gap-2">
        {THINGS.map((name) => (
          <button
            key={name}
            type="button"
            className="flex min-h-16 items-center justify-center rounded border border-edge bg-sheet hover:border-ink disabled:opacity-55"
            disabled={value.length === LENGTH}
            onClick={() => onChange([...value, name])}
          >
            <Thing name={name} size={44} />
          </button>
        ))}
      </div>
    </div>
  )
}
