import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'

type Item = Schemas['Item']

let now: unknown

/** An answer rule in its editor, which keeps what is changed. */
export function Editing<R>({
  first,
  editor: Editor,
}: {
  first: R
  editor: (p: { rule: R; onChange: (rule: R) => void }) => React.ReactNode
}) {
  const [rule, setRule] = useState(first)
  now = rule
  return <Editor rule={rule} onChange={setRule} />
}

/** The rule as it stands in the editor. */
export const edited = () => now

export type RuleOf<T extends Item['type']> = Extract<Item, { type: T }>['rule']
