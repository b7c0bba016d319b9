import { expect, it } from 'vitest'
import { isRich, saidBriefly, saidHtml } from './said'

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
