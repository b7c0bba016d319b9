import { problemOf, type Schemas } from '@/lib/api/client'
import { SelectField } from '@/ui/Field'
import { toast } from '@/ui/Toasts'
import { useAddTerm, useTerms } from './terms'

const NEW = '+new'

/** Picks a skill or misconception of the team's, or makes a new one on the spot. */
export function TermSelect({
  kind,
  label,
  value,
  onChange,
  hideLabel,
  fault,
}: {
  kind: 'skills' | 'misconceptions'
  label: string
  value: string | null
  onChange: (id: string | null) => void
  hideLabel?: boolean
  fault?: string
}) {
  const terms = useTerms()
  const add = useAddTerm(kind)
  const list: Schemas['BankTermView'][] = terms.data?.[kind] ?? []
  const pick = async (id: string) => {
    if (id !== NEW) return onChange(id === '' ? null : id)
    const name = window.prompt(
      kind === 'skills' ? 'Name of the new skill' : 'Name of the new misconception: what the student thinks',
    )
    if (!name?.trim()) return
    try {
      onChange((await add.mutateAsync(name)).id)
    } catch (thrown) {
      const problem = problemOf(thrown)
      toast(problem.fields.name ?? problem.message, { bad: true })
    }
  }
  return (
    <SelectField
      label={label}
      hideLabel={hideLabel}
      fault={fault}
      value={value ?? ''}
      onChange={(e) => void pick(e.target.value)}
    >
      <option value="">{kind === 'skills' ? 'No skill' : 'No misconception'}</option>
      {list.map((term) => (
        <option key={term.id} value={term.id}>
          {term.name}
        </option>
      ))}
      <option value={NEW}>{kind === 'skills' ? 'New skill …' : 'New misconception …'}</option>
    </SelectField>
  )
}
