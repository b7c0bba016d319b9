import { ToggleGroup } from 'radix-ui'
import type { Schemas } from '@/lib/api/client'
import { FEEDBACK_PLANS } from '@/lib/conditions'
import { MOMENTS, THINGS, toldFrom, type Moment } from '@/lib/telling'
import { Radios } from '@/ui/Radios'

type Plan = Schemas['Conditions']['feedback']

/**
 * From when students are told what: each thing a bar on a rail of time, from the moment it is told. Choosing a moment
 * shows beside it what one of them sees then.
 */
export function TellingRail({
  plan,
  onPlan,
  at,
  onAt,
}: {
  plan: Plan
  onPlan: (plan: Plan) => void
  at: Moment
  onAt: (moment: Moment) => void
}) {
  return (
    <section>
      <h2 className="text-lg">From when are students told what?</h2>
      <div className="mt-2 overflow-x-auto">
        <div className="min-w-[34rem]">
          <ToggleGroup.Root
            type="single"
            aria-label="Show what a student sees when the work is"
            value={at}
            onValueChange={(moment) => moment && onAt(moment as Moment)}
            className="ml-36 grid grid-cols-3"
          >
            {MOMENTS.map((m) => (
              <ToggleGroup.Item
                key={m.id}
                value={m.id}
                className="group relative rounded-t px-1 pt-2 pb-1 text-center hover:bg-pale data-[state=on]:bg-sheet"
              >
                <span
                  aria-hidden
                  className="absolute -top-0.5 left-1/2 hidden h-[7px] w-8 -translate-x-1/2 bg-rung group-data-[state=on]:block"
                />
                <b>{m.label}</b>
                <span className="block text-sm text-quiet">{m.note}</span>
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
          <ul>
            {THINGS.map((thing) => {
              const from = toldFrom(plan, thing)
              const start = MOMENTS.findIndex((m) => m.id === from)
              return (
                <li key={thing} className="relative grid grid-cols-[9rem_1fr] items-center border-b">
                  <span className="py-2">{thing}</span>
                  <span className="relative grid h-full grid-cols-3">
                    {MOMENTS.map((m) => (
                      <span key={m.id} aria-hidden className={m.id === at ? 'bg-sheet' : ''} />
                    ))}
                    <span aria-hidden className="absolute inset-y-1/2 right-0 left-[16.7%] h-0 border-t border-edge" />
                    {from === null ? (
                      <span className="absolute top-1/2 right-0 -translate-y-1/2 bg-ground px-1 text-sm text-quiet">
                        not told
                      </span>
                    ) : (
                      <span
                        aria-hidden
                        className="absolute top-1/2 right-0 h-2.5 -translate-y-1/2 border-l-[7px] border-ink bg-r3"
                        style={{ left: `${(start + 0.5) * 33.3}%` }}
                      />
                    )}
                    <span className="sr-only">{from === null ? '' : `told from ${from} on`}</span>
                  </span>
                </li>
              )
            })}
          </ul>
        </div>
      </div>
      <div className="mt-3">
        <Radios
          label="Plan"
          value={plan}
          onChange={onPlan}
          options={FEEDBACK_PLANS.map((p) => ({ value: p.id, label: p.label, note: p.note }))}
        />
      </div>
    </section>
  )
}
