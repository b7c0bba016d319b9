import type { Tells } from '@/lib/conditions'
import { usePlans } from '@/lib/plans'
import { inWords } from '@/lib/telling'
import { SelectField } from './Select'

/** One of the feedback plans, given or the team's own; an arrangement that is none of them says so. */
export function PlanField({ label, tells, onTells }: { label: string; tells: Tells; onTells: (tells: Tells) => void }) {
  const { plans, of } = usePlans()
  const chosen = of(tells)
  return (
    <SelectField
      label={label}
      value={chosen?.id ?? ''}
      note={chosen?.note || inWords(tells)}
      onChange={(id) => {
        const plan = plans.find((p) => p.id === id)
        if (plan) onTells(plan.tells)
      }}
      options={[
        ...(chosen ? [] : [{ value: '', label: 'An arrangement of its own' }]),
        ...plans.map((p) => ({ value: p.id, label: p.name })),
      ]}
    />
  )
}
