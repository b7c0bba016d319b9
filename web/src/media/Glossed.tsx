import { useMemo, useRef, useState, type KeyboardEvent, type SyntheticEvent } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Rich } from '@/lib/Rich'
import { glossed } from './glossed'
import { useMedia } from './place'

/** A passage in which some words are told: pressed, or reached and entered, each says what it means beside itself. */
export function Glossed({ html, glossary }: { html: string; glossary: readonly Schemas['PaperGlossView'][] }) {
  const marked = useMemo(() => glossed(html, glossary), [html, glossary])
  const host = useRef<HTMLDivElement>(null)
  const { wordNotes } = useMedia()
  const [told, setTold] = useState<{ at: number; left: number; top: number } | null>(null)
  const tell = (event: SyntheticEvent) => {
    const word = (event.target as Element).closest<HTMLElement>('[data-gloss]')
    const frame = host.current?.getBoundingClientRect()
    if (!word || !frame) return setTold(null)
    const { left, bottom } = word.getBoundingClientRect()
    const at = Number(word.dataset.gloss)
    setTold(told?.at === at ? null : { at, left: left - frame.left, top: bottom - frame.top })
  }
  const key = (event: KeyboardEvent) => {
    if (event.key === 'Escape') setTold(null)
    else if ((event.key === 'Enter' || event.key === ' ') && (event.target as Element).closest('[data-gloss]')) {
      event.preventDefault()
      tell(event)
    }
  }
  const gloss = told && glossary[told.at]
  return (
    // The words within are the buttons; what is pressed or entered of them is met here.
    <div ref={host} className="relative" onClick={tell} onKeyDown={key}>
      <Rich html={marked} />
      {wordNotes ? (
        <dl className="mt-3 border-t pt-2 text-[0.9em]">
          {glossary.map((g) => (
            <div key={g.word} className="py-0.5">
              <dt className="inline font-semibold">{g.word}:</dt> <dd className="inline">{g.meaning}</dd>
            </div>
          ))}
        </dl>
      ) : null}
      <div
        role="status"
        className={
          gloss
            ? 'absolute z-10 mt-1 max-w-[min(18rem,100%)] rounded border border-edge bg-sheet px-3 py-2 shadow-float'
            : 'sr-only'
        }
        style={told ? { left: `min(${told.left}px, calc(100% - 12rem))`, top: told.top } : undefined}
      >
        {gloss ? (
          <>
            <b>{gloss.word}</b>: {gloss.meaning}
          </>
        ) : null}
      </div>
    </div>
  )
}
