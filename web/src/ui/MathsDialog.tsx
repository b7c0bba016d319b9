import { useEffect, useRef, useState } from 'react'
import { Button } from './Button'
import { Dialog } from './Dialog'
import { AreaField } from './Field'
import { Tabs } from './Tabs'

type Piece = readonly [name: string, latex: string]
const TOPICS: readonly { topic: string; pieces: readonly Piece[] }[] = [
  {
    topic: 'Numbers',
    pieces: [
      ['fraction', '\\frac{a}{b}'],
      ['power', 'x^{2}'],
      ['root', '\\sqrt{x}'],
      ['nth root', '\\sqrt[3]{x}'],
      ['times', '\\times '],
      ['divided by', '\\div '],
      ['plus or minus', '\\pm '],
      ['recurring', '0.\\dot{3}'],
      ['standard form', '3.2\\times 10^{4}'],
    ],
  },
  {
    topic: 'Algebra',
    pieces: [
      ['at most', '\\le '],
      ['at least', '\\ge '],
      ['not equal', '\\ne '],
      ['about', '\\approx '],
      ['index', 'h_{0}'],
      ['brackets', '\\left( x \\right)'],
      ['absolute', '\\left| x \\right|'],
      ['therefore', '\\therefore '],
      ['two equations', '\\begin{cases} a \\\\ b \\end{cases}'],
    ],
  },
  {
    topic: 'Geometry',
    pieces: [
      ['degrees', '^{\\circ}'],
      ['angle', '\\angle ABC'],
      ['triangle', '\\triangle ABC'],
      ['parallel', '\\parallel '],
      ['at right angles', '\\perp '],
      ['vector', '\\vec{a}'],
      ['column vector', '\\begin{pmatrix} x \\\\ y \\end{pmatrix}'],
      ['pi', '\\pi '],
      ['theta', '\\theta '],
    ],
  },
  {
    topic: 'Data and sets',
    pieces: [
      ['mean', '\\bar{x}'],
      ['sum', '\\sum_{i=1}^{n} x_i'],
      ['probability', 'P(A)'],
      ['element of', '\\in '],
      ['union', '\\cup '],
      ['intersection', '\\cap '],
      ['sigma', '\\sigma '],
    ],
  },
  {
    topic: 'Science',
    pieces: [
      ['arrow', '\\rightarrow '],
      ['both ways', '\\rightleftharpoons '],
      ['change', '\\Delta '],
      ['ohm', '\\Omega '],
      ['micro', '\\mu '],
      ['lambda', '\\lambda '],
      ['unit', '\\,\\mathrm{m\\,s^{-1}}'],
      ['ion', '\\mathrm{SO_4^{2-}}'],
    ],
  },
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
  const [topic, setTopic] = useState(TOPICS[0]?.topic ?? '')
  const area = useRef<HTMLTextAreaElement>(null)
  /** Where the cursor stands; around what is selected, where a piece has a place for it. */
  const put = (latex: string) => {
    const { selectionStart: from, selectionEnd: until } = area.current ?? {
      selectionStart: text.length,
      selectionEnd: text.length,
    }
    const chosen = text.slice(from, until)
    const piece = chosen === '' ? latex : latex.replace(/(?<![a-z\\])[ax](?![a-z])/, () => chosen)
    setText(text.slice(0, from) + piece + text.slice(until))
    requestAnimationFrame(() => {
      area.current?.focus()
      area.current?.setSelectionRange(from + piece.length, from + piece.length)
    })
  }
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
          ref={area}
          label="In LaTeX"
          rows={2}
          autoFocus
          maxLength={500}
          className="font-mono"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <Tabs
          look="segments"
          label="Pieces by topic"
          value={topic}
          onChange={setTopic}
          tabs={TOPICS.map((one) => ({ value: one.topic, label: one.topic }))}
        >
          <div role="group" aria-label="Pieces" className="mt-2 flex min-h-18 flex-wrap content-start gap-1.5">
            {TOPICS.find((one) => one.topic === topic)?.pieces.map(([name, latex]) => (
              <Button key={name} size="small" onClick={() => put(latex)}>
                {name}
              </Button>
            ))}
          </div>
        </Tabs>
        <div aria-label="As it will stand" role="img" ref={shown} className="min-h-12 rounded border p-3 text-xl" />
      </div>
    </Dialog>
  )
}
