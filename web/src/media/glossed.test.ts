import { describe, expect, it } from 'vitest'
import { glossed } from './glossed'

const marks = (html: string, ...words: string[]) =>
  glossed(
    html,
    words.map((word) => ({ word, meaning: 'm' })),
  )

describe('A passage with its words told', () => {
  it('marks each where it first stands, whole, in any case', () => {
    expect(marks('<p>Ebbs and the <b>ebb</b>, then the Ebb.</p>', 'EBB')).toBe(
      '<p>Ebbs and the <b><span data-gloss="0" role="button" tabindex="0">ebb</span></b>, then the Ebb.</p>',
    )
  })

  it('takes the longest that fits, several in one line, and signs as they are', () => {
    expect(marks('<p>We stood off (the bar).</p>', 'stood', 'stood off', '(the bar)', 'absent')).toBe(
      '<p>We <span data-gloss="1" role="button" tabindex="0">stood off</span> <span data-gloss="2" role="button" tabindex="0">(the bar)</span>.</p>',
    )
  })

  it('leaves markup, maths and other scripts as they are', () => {
    const html = '<p title="ebb">Прилив <span data-math="ebb">ebb</span> <code>ebb</code></p>'
    expect(marks(html, 'ebb')).toBe(html)
    expect(marks(html, 'прилив')).toContain('<span data-gloss="0" role="button" tabindex="0">Прилив</span>')
    expect(marks('<p>x</p>', ' ')).toBe('<p>x</p>')
  })
})
