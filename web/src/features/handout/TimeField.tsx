import { CountField } from '@/ui/CountField'
import { Tick } from '@/ui/Tick'

const FIRST = 30
const MOST = 600

/** How long each student has from when they begin; who gets support may have longer. */
export function TimeField({
  minutes,
  onChange,
}: {
  minutes: number | null
  onChange: (minutes: number | null) => void
}) {
  return (
    <div>
      <Tick
        label="So many minutes for each student, from when they begin"
        checked={minutes !== null}
        onChange={(on) => onChange(on ? FIRST : null)}
      />
      {minutes !== null ? (
        <div className="mt-1 max-w-40 pl-6">
          <CountField label="Minutes" most={MOST} value={minutes} onChange={onChange} />
          <p className="mt-1 text-sm text-quiet">Longer by the extra time of a student’s support.</p>
        </div>
      ) : null}
    </div>
  )
}
