import type { Schemas } from './api/client'

export type Hint = Schemas['Hint']
type Held = { hint: string; hints?: Hint[] }

/** The steps of help in their order. A first one that is free stands in a document by itself, as it did before hints had steps. */
export const hintsOf = ({ hint, hints = [] }: Held): Hint[] =>
  hint === '' ? hints : [{ text: hint, cost: '0' }, ...hints]

/** How a document holds these steps. */
export function withHints(steps: Hint[]): Held {
  const [first, ...rest] = steps
  return first && first.cost === '0' && first.text !== ''
    ? { hint: first.text, hints: rest }
    : { hint: '', hints: steps }
}
