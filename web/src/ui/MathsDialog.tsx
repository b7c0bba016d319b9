import { useEffect, useRef, useState } from 'react'
import { Button } from './Button'
import { Dialog } from './Dialog'
import { AreaField } from './Field'

const PIECES: { name: string; latex: string }[] = [
  { name: 'fraction', latex: '\\frac{a}{b}' },
  { name: 'power', latex: 'x^{2}' },
  { name: 'root', latex: '\\sqrt{x}' },
  { name: 'times', latex: '\\times ' },
  { name: 'degrees', latex: '^{\\circ}' },
  { name: 'at most', latex: '\\le ' },
  { name: 'about', latex: '\\approx ' },
  { name: 'index', latex: 'h_{0}' },
]

/** Maths typed as LaTeX or put together from pieces, typeset as it will stand. */
export function MathsDialog({
  latex,
  onClose,
  onKeep,
}: {
  latex: string
  onClose: () => void
  onKeep: (latex: string) => void
}) {
  const [text, setText] = useState(latex)
  const shown = useRef<HTMLDivElement>(null)
  useEffect(() => {
    let current = true
    void import('@/lib/maths').then(({ typeset }) => {
      if (current && shown.current) typeset(text, shown.current)
    })
    return () => {
      current = false
    }
  }, [text])
  return (
    <Dialog
      open
      onClose={onClose}
      title="Maths"
      foot={
        <>
          <Button onClick={onClose}>Leave as it was</Button>
          <Button kind="do" disabled={text.trim() === ''} onClick={() => onKeep(text.trim())}>
            Put into the text
          </Button>
        </>
      }
    >
      <div className="flex flex-col gap-3">
        <AreaField
          label="In LaTeX"
          rows={2}
          autoFocus
          maxLength={500}
          className="font-mono"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <div role="group" aria-label="Pieces" className="flex flex-wrap gap-1.5">
          {PIECES.map((piece) => (
            <Button key={piece.name} size="small" onClick={() => setText((old) => old + piece.latex)}>
              {piece.name}
            </Button>
          ))}
        </div>
        <div aria-label="As it will stand" role="img" ref={shown} className="min-h-12 rounded border p-3 text-xl" />
      </div>
    </Dialog>
  )
}
