import { expect, it } from 'vitest'
import { asParagraphs, isRich, paragraphsIn, saidBriefly, saidHtml } from './said'

it('plain words stay plain words, whatever signs stand in them', () => {
  for (const words of ['You forgot to subtract.', 'a < b & c', '<3', '<pilot> & <script>', 'Tern & Co']) {
    expect(isRich(words)).toBe(false)
    expect(saidBriefly(saidHtml(words))).toBe(words)
  }
})

it('what is more than words stays rich, and so do words that look like rich text', () => {
  for (const html of ['<p>See <span data-math="x"></span></p>', '<p>a</p><p>b</p>', '<p>&lt;p&gt; is a paragraph</p>'])
    expect(saidBriefly(html)).toBe(html)
})

it('lines are paragraphs, and come back as they were typed', () => {
  for (const text of ['', 'one', 'a < b\n\nand & more', ' ends with a line\n'])
    expect(paragraphsIn(asParagraphs(text))).toBe(text)
  expect(asParagraphs('')).toBe('')
  expect(paragraphsIn('<p><b>Rich</b> words</p><ul><li>too</li></ul>')).toBe('Rich words\ntoo')
})
