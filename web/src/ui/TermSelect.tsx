import { lazy, Suspense, useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Combobox } from './Combobox'
import { useTerms } from '@/lib/terms'

// Forms are fetched by whoever makes a new one.
const TermDialog = lazy(() => import('./TermDialog').then((dialog) => ({ default: dialog.TermDialog })))

/** Picks a skill or misconception of the team's, makes a new one on the spot, or puts the picked one in other words. */
export function TermSelect({
  kind,
  label,
  value,
  onChange,
  hideLabel,
  fault,
  inPlace,
}: {
  kind: 'skills' | 'misconceptions'
  label: string
  value: string | null
  onChange: (id: string | null) => void
  hideLabel?: boolean
  fault?: string
  inPlace?: boolean
}) {
  const terms = useTerms()
  const [asked, setAsked] = useState<'new' | 'change' | null>(null)
  const list: Schemas['BankTermView'][] = terms.data?.[kind] ?? []
  const picked = list.find((term) => term.id === value)
  const kindName = kind === 'skills' ? 'skill' : 'misconception'
  return (
    <>
      <Combobox
        label={label}
        hideLabel={hideLabel}
        fault={fault}
        inPlace={inPlace}
        value={value ?? ''}
        onChange={(id) => onChange(id === '' ? null : id)}
        options={[
          { value: '', label: `No ${kindName}` },
          ...list.map((term) => ({ value: term.id, label: term.name })),
        ]}
        acts={[
          { label: `New ${kindName} …`, run: () => setAsked('new') },
          ...(picked ? [{ label: `Change “${picked.name}” …`, run: () => setAsked('change') }] : []),
        ]}
      />
      {asked ? (
        <Suspense>
          <TermDialog
            kind={kind}
            term={asked === 'change' ? picked : null}
            onClose={() => setAsked(null)}
            onMade={onChange}
          />
        </Suspense>
      ) : null}
    </>
  )
}
