type Gloss = { word: string; meaning: string }

const quoted = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/**
 * A passage with each word that is told marked where it first stands, whole and in any case. Only text is looked at, never markup; the
 * longest word that fits wins.
 */
export function glossed(html: string, glossary: readonly Gloss[]): string {
  const left = new Map(glossary.map(({ word }, i) => [word.trim().toLowerCase(), i] as const).filter(([word]) => word))
  if (left.size === 0) return html
  const page = new DOMParser().parseFromString(html, 'text/html')
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT)
  const texts: Text[] = []
  while (walker.nextNode()) texts.push(walker.currentNode as Text)
  for (let text of texts) {
    // Maths and code are no words.
    if (text.parentElement?.closest('[data-math], code')) continue
    for (;;) {
      const words = [...left.keys()].sort((a, b) => b.length - a.length).map(quoted)
      if (words.length === 0) break
      const met = new RegExp(`(?<![\\p{L}\\p{N}])(?:${words.join('|')})(?![\\p{L}\\p{N}])`, 'iu').exec(text.data)
      if (!met) break
      const word = text.splitText(met.index)
      const rest = word.splitText(met[0].length)
      const mark = page.createElement('span')
      mark.dataset.gloss = String(left.get(met[0].toLowerCase()))
      mark.setAttribute('role', 'button')
      mark.tabIndex = 0
      word.replaceWith(mark)
      mark.append(word)
      left.delete(met[0].toLowerCase())
      text = rest
    }
  }
  return page.body.innerHTML
}
