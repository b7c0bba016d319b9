import { createContext, useContext, useMemo, type ReactNode } from 'react'
import type { Schemas } from '@/lib/api/client'
import { FUNCTIONS, type Name } from '@/lib/suggest'
import { Suggesting } from '@/ui/Suggesting'

const Known = createContext<readonly Name[]>(FUNCTIONS)

/** The names that formulas on this desk may use: variables, and what the language knows. */
export function NamesOf({
  variables,
  children,
}: {
  variables: readonly Schemas['Variable'][] | undefined
  children: ReactNode
}) {
  const names = useMemo(
    () => [
      ...(variables ?? []).flatMap((v) =>
        (v.columns ?? [v.name]).map((name) => ({ name, says: 'a number of their own' })),
      ),
      ...FUNCTIONS,
    ],
    [variables],
  )
  return <Known.Provider value={names}>{children}</Known.Provider>
}

/** What checks may ask for besides. */
const GIVEN: readonly Name[] = [
  { name: 'answer', says: 'what was answered' },
  { name: 'text', says: 'as it was typed' },
]

/** A field that offers names as one types a formula: behind a `=`, or anywhere in a condition. */
export function Formula({ kind, children }: { kind: 'value' | 'condition'; children: ReactNode }) {
  const known = useContext(Known)
  const names = useMemo(() => (kind === 'value' ? known : [...GIVEN, ...known]), [kind, known])
  return (
    <Suggesting names={names} only={kind === 'value' ? isFormula : undefined}>
      {children}
    </Suggesting>
  )
}

const isFormula = (text: string) => /^\s*=/.test(text)
