import katex from 'katex'
import 'katex/dist/katex.min.css'

/** Typesets LaTeX; what cannot be read is shown as it was typed. Links, colours and macros that load things are off. */
export function typeset(latex: string, place: HTMLElement) {
  katex.render(latex, place, {
    throwOnError: false,
    trust: false,
    maxExpand: 200,
    maxSize: 20,
    output: 'htmlAndMathml',
  })
}
