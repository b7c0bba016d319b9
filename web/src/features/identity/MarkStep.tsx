import type { Schemas } from '@/lib/api/client'
import { decimal } from '@/lib/format'
import { SelectField } from '@/ui/Select'
import { FaultLine } from '@/ui/States'
import { useTeamSetting } from './useTeamSetting'

/** The team's smallest mark. */
export function MarkStep({ view }: { view: Schemas['IdentityAccountView'] }) {
  const set = useTeamSetting('markStep', view.markStep, (step) => `Marks go in steps of ${decimal(step)} from now on.`)
  return (
    <section aria-labelledby="step">
      <h2 id="step" className="border-b pb-2 text-lg">
        Marks of the team
      </h2>
      <div className="mt-3 max-w-sm">
        {view.maySet ? (
          <SelectField
            label="Marks go in steps of"
            value={view.markStep}
            disabled={set.isPending}
            onChange={(value) => set.mutate(value)}
            note="Part credit is rounded to this step, though never up to full marks or down to none."
            options={[...view.steps.map((step) => ({ value: step, label: decimal(step) }))]}
          />
        ) : (
          <p>
            Marks go in steps of <b>{decimal(view.markStep)}</b>.{' '}
            <span className="text-quiet">A lead of the team can change that.</span>
          </p>
        )}
        <FaultLine error={set.error} />
      </div>
    </section>
  )
}
