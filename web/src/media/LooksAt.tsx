import type { Schemas } from '@/lib/api/client'
import { inWords } from './looksInWords'

/** Below a question, where it looks; a press brings that into view. */
export const LooksAt = ({
  at,
  number,
  title,
  onLook,
}: {
  at: Schemas['Anchor']
  number: number
  title: string
  onLook: () => void
}) => (
  <button type="button" className="mt-1 min-h-11 text-left text-[0.85em] text-blue underline" onClick={onLook}>
    {inWords(at, number, title)}
  </button>
)
