import type { ReactNode } from 'react'
import { WORDS, type Word as Known } from '@/lib/words'
import { Tip } from './Tip'

/** A word of ours or of statistics, which says what it means to the mouse that rests on it and the focus that comes. */
export function Word({ of, children }: { of: Known; children?: ReactNode }) {
  return (
    <Tip says={WORDS[of]}>
      <button
        type="button"
        className="cursor-help font-[inherit] underline decoration-edge decoration-dotted underline-offset-4"
      >
        {children ?? of}
      </button>
    </Tip>
  )
}
