import { beforeEach, describe, expect, it } from 'vitest'
import { stretchesOf, wordAt } from './reading'

beforeEach(() => {
  document.body.innerHTML = `
    <div id="q"><p>How <b>high</b> is it?</p>
    <fieldset><legend>Pick one</legend><label><span aria-hidden="true">A</span> 3.8 m</label><label>5.4 m</label></fieldset>
    <button>Hint</button><p class="sr-only">not said</p></div>`
})
const stretches = () => stretchesOf([document.getElementById('q')!])

describe('What is read aloud', () => {
  it('is said block by block, without what is only to be pressed or written for others', () => {
    expect(stretches().map((s) => s.text.trim())).toEqual(['How high is it?', 'Pick one', '3.8 m', '5.4 m'])
  })

  it('is found on the page word by word, across marks within it', () => {
    const [first] = stretches()
    const at = (letter: number) => wordAt(first!, letter)?.toString()
    expect([at(0), at(4), at(9), at(12)]).toEqual(['How', 'high', 'is', 'it?'])
    expect(wordAt({ text: '', parts: [] }, 0)).toBeNull()
  })
})
