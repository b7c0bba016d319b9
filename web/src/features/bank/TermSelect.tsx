import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { SelectField } from '@/ui/Field'
import { TermDialog } from './TermDialog'
import { useTerms } from './terms'

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
  const [making, setMaking] = useState(false)
  const list: Schemas['BankTermView'][] = terms.data?.[kind] ?? []
  const pick = (id: string) => (id === NEW ? setMaking(true) : onChange(id === '' ? null : id))
  return (
    <>
      <SelectField
        label={label}
        hideLabel={hideLabel}
        fault={fault}
        value={value ?? ''}
        onChange={(e) => pick(e.target.value)}
      >
        <option value="">{kind === 'skills' ? 'No skill' : 'No misconception'}</option>
        {list.map((term) => (
          <option key={term.id} value={term.id}>
            {term.name}
          </option>
        ))}
        <option value={NEW}>{kind === 'skills' ? 'New skill …' : 'New misconception …'}</option>
      </SelectField>
      {making ? <TermDialog kind={kind} onClose={() => setMaking(false)} onMade={onChange} /> : null}
    </>
  )
}
