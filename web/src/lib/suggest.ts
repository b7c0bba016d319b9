export type Name = { name: string; says: string; called?: boolean }

/** What the formula language knows besides the names of a question (docs/formats/question.md). */
export const FUNCTIONS: readonly Name[] = (
  [
    ['round', 'to so many places: round(x, 2)'],
    ['abs', 'without its sign'],
    ['sqrt', 'the root'],
    ['min', 'the least of them'],
    ['max', 'the greatest of them'],
    ['sum', 'of a list'],
    ['mean', 'of a list'],
    ['median', 'of a list'],
    ['count', 'how many in a list'],
    ['at', 'one of a list: at([1, 3, 6], t)'],
    ['floor', 'the whole number below'],
    ['ceil', 'the whole number above'],
    ['gcd', 'greatest common divisor'],
    ['lcm', 'least common multiple'],
    ['mod', 'what is left of a division'],
    ['sin', 'of degrees'],
    ['cos', 'of degrees'],
    ['tan', 'of degrees'],
    ['within', 'near enough: within(answer, 3.6, 0.05)'],
    ['sigfigs', 'significant figures of a number as it is written'],
    ['matches', 'fits a form with * and _'],
    ['same', 'says the same, capitals apart'],
    ['distance', 'how many letters differ'],
    ['length', 'of a text or a list'],
    ['contains', 'one text in another'],
    ['constant', 'all of a list are alike'],
    ['ratios', 'of two lists, pair by pair'],
  ] as const
).map(([name, says]) => ({ name, says, called: true }))

const WORD = /[A-Za-z][A-Za-z0-9.]*$/
const MOST = 6

/** The names that begin as the word before the caret does; none where the word is whole already, or there is none. */
export function suggested(text: string, caret: number, names: readonly Name[]) {
  const word = WORD.exec(text.slice(0, caret))?.[0] ?? ''
  const low = word.toLowerCase()
  const options =
    word === '' ? [] : names.filter((n) => n.name.toLowerCase().startsWith(low) && n.name !== word).slice(0, MOST)
  return { from: caret - word.length, options }
}

/** The text with a name in the place of what was typed of it, and where the caret stands then. */
export function taken(text: string, from: number, caret: number, { name, called }: Name) {
  const put = called && text[caret] !== '(' ? `${name}(` : name
  return { text: text.slice(0, from) + put + text.slice(caret), caret: from + put.length }
}
