import type { ReactNode } from 'react'
import { linesOf } from './written'

/** A passage with something in each of its gaps. */
export function Passage({
  passage,
  gaps,
  children,
}: {
  passage: string
  gaps: readonly { id: string }[]
  children: (id: string, place: number) => ReactNode
}) {
  return linesOf(passage, gaps).map((line, i) => (
    // A drop-down is more than a paragraph may hold.
    <div key={i} className="min-h-[1em] leading-[2.2]">
      {line.map((piece, j) =>
        'text' in piece ? (
          <span key={j} className="whitespace-pre-wrap">
            {piece.text}
          </span>
        ) : (
          <span key={j}>
            {children(
              piece.gap,
              gaps.findIndex((g) => g.id === piece.gap),
            )}
          </span>
        ),
      )}
    </div>
  ))
}
