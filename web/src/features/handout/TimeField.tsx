import type { Schemas } from '@/lib/api/client'
import { inManner } from '@/lib/conditions'
import { CountField } from '@/ui/CountField'
import { Tick } from '@/ui/Tick'

type Conditions = Schemas['Conditions']

const FIRST = 30
const MOST = 600
const FIRST_EACH = 60
const LEAST_EACH = 5
const MOST_EACH = 3600

/** How long each student has from when they begin, or for each question; who gets support may have longer. */
export function TimeField({
  conditions: { minutes, secondsEach },
  onChange,
}: {
  conditions: Conditions
  onChange: (time: Partial<Conditions>) => void
}) {
  return (
    <div>
      <Tick
        label="So many minutes for each student, from when they begin"
        checked={minutes !== null}
        onChange={(on) => onChange({ minutes: on ? FIRST : null })}
      />
      {minutes !== null ? (
        <div className="mt-1 max-w-40 pl-6">
          <CountField label="Minutes" most={MOST} value={minutes} onChange={(n) => onChange({ minutes: n })} />
        </div>
      ) : null}
      <Tick
        label="So many seconds for each question, one after the other"
        checked={secondsEach !== null}
        onChange={(on) => onChange(on ? { ...inManner('order'), secondsEach: FIRST_EACH } : { secondsEach: null })}
      />
      {secondsEach !== null ? (
        <div className="mt-1 max-w-40 pl-6">
          <CountField
            label="Seconds"
            least={LEAST_EACH}
            most={MOST_EACH}
            value={secondsEach}
            onChange={(n) => onChange({ secondsEach: n })}
          />
        </div>
      ) : null}
      {minutes !== null || secondsEach !== null ? (
        <p className="mt-1 pl-6 text-sm text-quiet">
          Longer by the extra time of a student’s support.
          {secondsEach !== null
            ? ' When the time for a question is over, its answer stays as it is and the next one comes.'
            : ''}
        </p>
      ) : null}
    </div>
  )
}
