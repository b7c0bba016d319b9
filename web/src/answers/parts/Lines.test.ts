import { expect, it } from 'vitest'
import { asHtml } from '@/lib/said'
import { listed } from './Lines'

it('a list is read without its bullets, numbers and letters, and loses no answer that looks like one', () => {
  expect(listed('a) 3.65 m\n b) 3.33 m\r\n(c) 0.95 m')).toEqual(['3.65 m', '3.33 m', '0.95 m'])
  expect(listed('• red can\n- green cone\n– none')).toEqual(['red can', 'green cone', 'none'])
  expect(listed('3.5\n-2\n1 200\nI think so')).toEqual(['3.5', '-2', '1 200', 'I think so'])
  expect(listed('one\ttwo\n\n')).toEqual(['one', 'two'])
  expect(listed('  ')).toEqual([])
})

it('plain words stand in rich text as they were typed', () => {
  expect(asHtml('a < b & c')).toBe('<p>a &lt; b &amp; c</p>')
})
