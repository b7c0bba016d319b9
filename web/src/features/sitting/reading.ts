/** One stretch that is read without a break, with where its letters stand on the page. */
export type Stretch = { text: string; parts: { node: Text; from: number }[] }

const BLOCKS = 'p, li, label, legend, td, th, h1, h2, h3, figcaption, dt, dd, div, section'
/** Not said: what is only to be pressed, what is written for other readers of screens, and the second face of maths. */
const PASSED = 'button, [aria-hidden="true"], .sr-only, script, style, textarea, select, math annotation'

/** What stands in some parts of a page, to be read aloud block by block. */
export function stretchesOf(parts: readonly Element[]): Stretch[] {
  const all: Stretch[] = []
  let block: Element | null = null
  for (const part of parts) {
    const walker = document.createTreeWalker(part, NodeFilter.SHOW_TEXT)
    while (walker.nextNode()) {
      const node = walker.currentNode as Text
      const parent = node.parentElement
      if (!parent || parent.closest(PASSED) || node.data.trim() === '') continue
      const at = parent.closest(BLOCKS)
      if (at !== block || all.length === 0) {
        all.push({ text: '', parts: [] })
        block = at
      }
      const stretch = all.at(-1)!
      stretch.parts.push({ node, from: stretch.text.length })
      stretch.text += node.data
    }
  }
  return all
}

/** The word at a letter of a stretch, on the page. */
export function wordAt({ text, parts }: Stretch, letter: number): Range | null {
  const part = parts.findLast(({ from }) => from <= letter)
  if (!part) return null
  const begins = letter - part.from
  const length = /^\S+/.exec(text.slice(letter))?.[0].length ?? 1
  const range = document.createRange()
  range.setStart(part.node, Math.min(begins, part.node.length))
  range.setEnd(part.node, Math.min(begins + length, part.node.length))
  return range
}
