import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { SelectField } from './Field'
import { TermDialog } from './TermDialog'
import { useTerms } from '@/lib/terms'

const NEW = '+new'
const CHANGE = '+change'

/** Picks a skill or misconception of the team's, makes a new one on the spot, or puts the picked one in other words. */
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
  const [asked, setAsked] = useState<typeof NEW | typeof CHANGE | null>(null)
  const list: Schemas['BankTermView'][] = terms.data?.[kind] ?? []
  const picked = list.find((term) => term.id === value)
  const pick = (id: string) => (id === NEW || id === CHANGE ? setAsked(id) : onChange(id === '' ? null : id))
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
        {picked ? <option value={CHANGE}>Change “{picked.name}” …</option> : null}
      </SelectField>
      {asked ? (
        <TermDialog
          kind={kind}
          term={asked === CHANGE ? picked : null}
          onClose={() => setAsked(null)}
          onMade={onChange}
        />
      ) : null}
    </>
  )
}
