import type { RuleOf } from '../kinds'

const ACCENTED: Record<string, string> = { e: 'é', a: 'à', o: 'ö', u: 'ü', i: 'î' }

/** An answer written as differently as the rule allows and still the same to it. */
export function variedBy({ folding, anyOrder, allowSlips }: RuleOf<'text'>, text: string): string {
  let varied = text
  if (anyOrder && /\s/.test(varied)) varied = varied.split(/\s+/).reverse().join(' ')
  if (folding.accents) varied = varied.replace(/[eaoui]/, (letter) => ACCENTED[letter] ?? letter)
  // Two letters of the longest word change places; shorter ones would be other words.
  if (allowSlips) {
    const [long = ''] = varied.split(/\s+/).sort((a, b) => b.length - a.length)
    const slip =
      /^\p{L}{5,}$/u.test(long) && long[2] !== long[3] ? long.slice(0, 2) + long[3] + long[2] + long.slice(4) : long
    varied = varied.replace(long, slip)
  }
  if (folding.articles && !/^(?:the|an?)\s/i.test(varied)) varied = `the ${varied}`
  if (folding.case) varied = varied === varied.toUpperCase() ? varied.toLowerCase() : varied.toUpperCase()
  return folding.punctuation && !/[.!?]$/.test(varied) ? `${varied}.` : varied
}
