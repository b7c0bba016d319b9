import { isBlank } from '@/answers/parts/values'
import type { Step, Value } from './store'

/** Progress is rungs: one short bar a question, the one at hand in rust. */
export function Rungs({
  steps,
  at,
  valueOf,
  onGo,
}: {
  steps: Step[]
  at: Step
  valueOf: (s: Step) => Value | null
  /** none where there is no way back */
  onGo: ((s: Step) => void) | undefined
}) {
  return (
    <ol className="flex gap-1" aria-label="Questions of this part">
      {steps.map((s) => {
        const given = !isBlank(valueOf(s))
        return (
          <li key={`${s.entry}-${s.try}`} className="flex-1">
            <button
              className="flex h-11 w-full items-center"
              aria-current={s === at ? 'step' : undefined}
              aria-label={`Question ${s.number}, ${given ? 'answered' : 'not answered'}`}
              disabled={!onGo}
              onClick={() => onGo?.(s)}
            >
              <span
                className={`h-[9px] w-full border-2 ${s === at ? 'border-rung' : 'border-r3'} ${given ? (s === at ? 'bg-rung' : 'bg-r3') : ''}`}
              />
            </button>
          </li>
        )
      })}
    </ol>
  )
}
