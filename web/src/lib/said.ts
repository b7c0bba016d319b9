/** What a line says to a student: plain words, or rich text, which begins with one of its elements. As the server tells them apart. */
export const isRich = (words: string) => /^<(?:p|ul|ol|table)\b/.test(words)

/** Plain words as rich text. */
export const asHtml = (text: string) =>
  `<p>${text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')}</p>`

export const saidHtml = (words: string) => (words === '' || isRich(words) ? words : asHtml(words))

const ONE_PLAIN = /^<p>([^<]*)<\/p>$/

/** Rich text that says no more than plain words is kept as such. */
export function saidBriefly(html: string) {
  const plain = ONE_PLAIN.exec(html)?.[1]
  if (plain === undefined) return html
  const words = plain
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&nbsp;/g, ' ')
    .replace(/&amp;/g, '&')
  return isRich(words) ? html : words
}

/** Plain words of several lines as rich text, a paragraph each; nothing of none. */
export const asParagraphs = (text: string) => (text === '' ? '' : text.split('\n').map(asHtml).join(''))

/** What {@link asParagraphs} made, to be written on; of richer text its words. */
export const paragraphsIn = (html: string) =>
  html === ''
    ? ''
    : [...new DOMParser().parseFromString(html, 'text/html').body.children]
        .map((one) => one.textContent ?? '')
        .join('\n')
